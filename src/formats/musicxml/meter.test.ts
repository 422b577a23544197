import { meterOf } from "./meter";
import { readScore } from "./open";
import { pianoPart } from "./score";

function meters(signatures: readonly string[]) {
  const bars = signatures.map((signature) => {
    const [beats, type] = signature.split("/");
    const time = signature
      ? `<attributes><divisions>4</divisions><time><beats>${beats}</beats><beat-type>${type}</beat-type></time></attributes>`
      : "";
    return `<measure number="1">${time}<note><pitch><step>C</step><octave>4</octave></pitch><duration>4</duration></note></measure>`;
  });
  const text = `<score-partwise><part-list><score-part id="P1"><part-name/></score-part></part-list><part id="P1">${bars.join("")}</part></score-partwise>`;
  const read = readScore(new TextEncoder().encode(text));
  if (!read.ok) throw new Error(read.issues[0]!.message);
  return signatures.map((_, i) => meterOf(pianoPart(read.value), i + 1));
}

describe("how a bar is counted", () => {
  it.each([
    ["4/4", 4, 1],
    ["3/4", 3, 1],
    ["2/2", 4, 2],
    ["6/8", 3, 1.5],
    ["12/16", 3, 0.75],
    ["5/8", 2.5, 0.5],
  ])("in %s", (signature, bar, beat) => {
    expect(meters([signature])).toEqual([{ bar, beat }]);
  });

  it("by the signature in force, and in four where none is written", () => {
    expect(meters(["", "3/4", "", "6/8"]).map((m) => m.bar)).toEqual([4, 3, 3, 3]);
    expect(meters(["", "3/4", "", "6/8"]).map((m) => m.beat)).toEqual([1, 1, 1, 1.5]);
  });
});
