import { bytes, noteXml, scoreXml } from "../../../../tests/support/musicxml";
import { readScore } from "./open";
import { passageFrom } from "../passage";
import { pianoPart } from "../parts";

const mark = (name: string, staff?: number): string =>
  `<direction><direction-type><dynamics><${name}/></dynamics></direction-type>${staff ? `<staff>${staff}</staff>` : ""}</direction>`;
const marked = (name: string): string => `<notations><articulations><${name}/></articulations></notations>`;

function notes(...bars: string[]) {
  const read = readScore(bytes(scoreXml(bars, { staves: 2 })));
  if (!read.ok) throw new Error("not read");
  const part = pianoPart(read.value);
  return passageFrom(part, 1, bars.length, "both").notes;
}

describe("how notes are to sound", () => {
  it("is read from dynamics, which last until the next, and from accents and dots", () => {
    const [a, b, c, d] = notes(
      noteXml("C4") + mark("f") + noteXml("D4") + noteXml("E4", { notations: marked("accent") }),
      mark("pp") + noteXml("F4", { notations: marked("staccato") }),
    );
    expect(a).not.toHaveProperty("loudness");
    expect(b).toMatchObject({ loudness: 0.7 });
    expect(c).toMatchObject({ loudness: 0.7, accent: true });
    expect(d).toMatchObject({ loudness: 0.2, staccato: true });
  });

  it("is of one staff where the mark says so", () => {
    const low = "<backup><duration>12</duration></backup>" + noteXml("C3", { staff: 2, voice: 5 });
    const both = notes(mark("p", 2) + noteXml("C4") + low);
    expect(both.map((n) => n.loudness)).toEqual([0.3, undefined]);
  });
});
