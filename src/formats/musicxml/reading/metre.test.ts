import { passageFrom } from "../passage";
import { pianoPart } from "../parts";
import { readScore } from "./open";

interface BarMade {
  readonly time?: string;
  readonly quarters: number;
  readonly implicit?: boolean;
}

function barsOf(made: readonly BarMade[]) {
  const bars = made.map(({ time, quarters, implicit }, i) => {
    const [beats, type] = (time ?? "").split("/");
    const said = time ? `<time><beats>${beats}</beats><beat-type>${type}</beat-type></time>` : "";
    const note = `<note><pitch><step>C</step><octave>4</octave></pitch><duration>${quarters * 4}</duration></note>`;
    return `<measure number="${i + 1}"${implicit ? ` implicit="yes"` : ""}><attributes><divisions>4</divisions>${said}</attributes>${note}</measure>`;
  });
  const text = `<score-partwise><part-list><score-part id="P1"><part-name/></score-part></part-list><part id="P1">${bars.join("")}</part></score-partwise>`;
  const read = readScore(new TextEncoder().encode(text));
  if (!read.ok) throw new Error(read.issues[0]!.message);
  return passageFrom(pianoPart(read.value), 1, made.length, "right").bars!;
}

describe("how a bar is counted", () => {
  it.each([
    ["4/4", "4", ["0", "1", "2", "3"]],
    ["3/4", "3", ["0", "1", "2"]],
    ["2/2", "4", ["0", "2"]],
    ["6/8", "3", ["0", "3/2"]],
    ["12/16", "3", ["0", "3/4", "3/2", "9/4"]],
    ["5/8", "5/2", ["0", "3/2"]],
    ["7/8", "7/2", ["0", "1", "2"]],
    ["2+3/8", "5/2", ["0", "1"]],
  ])("in %s", (time, length, beats) => {
    expect(barsOf([{ time, quarters: 1 }])[0]!.metre).toEqual({ length, beats });
  });

  it("by the signature in force, in four where none is written, and by none that makes no sense", () => {
    const bars = barsOf([{ quarters: 4 }, { time: "3/4", quarters: 3 }, { quarters: 3 }, { time: "0/4", quarters: 3 }]);
    expect(bars.map(({ metre }) => metre.length)).toEqual(["4", "3", "3", "3"]);
  });

  it("from the middle of a full bar in a pick-up, and in the rest of a bar that was begun before", () => {
    const bars = barsOf([
      { time: "3/4", quarters: 1, implicit: true },
      { quarters: 3 },
      { quarters: 2 },
      { quarters: 1, implicit: true },
      { quarters: 2 },
    ]);
    expect(bars.map(({ from }) => from)).toEqual(["2", "0", "0", "2", "0"]);
  });
});
