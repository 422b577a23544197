import { bytes, noteXml, partsXml } from "../../../../tests/support/musicxml";
import { readScore } from "./open";
import { pianoPart } from "../parts";
import { tempiFound, tempoFound, tempoSource } from "./tempo-found";

const note = noteXml("C4", { length: 48 });
const metronome = (inner: string): string =>
  `<direction><direction-type><metronome>${inner}</metronome></direction-type></direction>`;
const quarters = (perMinute: string): string =>
  metronome(`<beat-unit>quarter</beat-unit><per-minute>${perMinute}</per-minute>`);

function read(text: string) {
  const found = readScore(bytes(text));
  if (!found.ok) throw new Error(found.issues[0]!.message);
  return { score: found.value, part: pianoPart(found.value), issues: found.issues };
}

const song = (first: readonly string[], piano: readonly string[]) =>
  read(
    partsXml([
      { name: "Glass harp", bars: first },
      { name: "Piano", bars: piano },
    ]),
  );

describe("the tempo of a passage", () => {
  it("comes from whichever part states it, and says from which bar", () => {
    const { score, part } = song([quarters("72") + note, note, quarters("132") + note], [note, note, note]);
    expect([1, 2, 3].map((bar) => tempoFound(score, part, bar).tempo)).toEqual([72, 72, 132]);
    expect(tempoSource(tempoFound(score, part, 2))).toBe("part P1, bar 1");
    expect(tempiFound(score, part).map(({ fromBar, tempo }) => [fromBar, tempo])).toEqual([
      [1, 72],
      [3, 132],
    ]);
  });

  it("takes the part's own before another's at one place, and one within the bar where none is in force", () => {
    const { score, part } = song([quarters("72") + note], [quarters("80") + note]);
    expect(tempoFound(score, part, 1)).toEqual({ tempo: 80, from: { part: "P2", bar: "1" } });
    const late = song([note], [noteXml("C4") + quarters("66") + noteXml("D4", { length: 36 })]);
    expect(tempoFound(late.score, late.part, 1).tempo).toBe(66);
  });

  it("says that none was found", () => {
    const { score, part } = song([note], [note]);
    expect(tempoFound(score, part, 1).from).toBeNull();
    expect(tempoSource(tempoFound(score, part, 1))).toBe("assumed: the file states none");
  });

  it.each([
    ["<beat-unit>eighth</beat-unit><beat-unit-dot/><per-minute>60</per-minute>", 45],
    ["<beat-unit>half</beat-unit><beat-unit-dot/><beat-unit-dot/><per-minute>20</per-minute>", 70],
    ["<beat-unit>quarter</beat-unit><per-minute>c. 92-96</per-minute>", 92],
    ["<beat-unit>quarter</beat-unit><beat-unit>quarter</beat-unit><beat-unit-dot/>", 150],
  ])("reads %s after a tempo of 100", (inner, tempo) => {
    const { score, part } = song([note], [quarters("100") + note, metronome(inner) + note]);
    expect(tempoFound(score, part, 2).tempo).toBe(tempo);
  });

  it.each([
    metronome("<beat-unit>constructor</beat-unit><per-minute>60</per-minute>"),
    `<sound tempo="Infinity"/>`,
    `<sound tempo="-3"/>`,
  ])("passes over %s, with a remark", (mark) => {
    const { score, part, issues } = song([note], [mark + note]);
    expect(tempoFound(score, part, 1).from).toBeNull();
    expect(issues.map((i) => i.code)).toEqual(["bad-tempo"]);
  });
});
