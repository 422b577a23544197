import { note, passage } from "../../../../tests/support/passages";
import { studyOfKeys, studyOn } from "../../../../tests/support/studies";
import type { NoteId } from "../../passage/note";
import type { Fingering } from "../../fingering/study/fingering";
import { conflictsOf } from "./conflicts";
import { bestFingerings, judge, notesAsked, type Study } from "../../fingering/study/study";

const ids = (study: Study): readonly NoteId[] => notesAsked(study);

describe("conditions that conflict", () => {
  it("are named with their notes: one finger twice, out of reach, resting", () => {
    const chord = studyOfKeys([60, [60, 64, 67]]);
    const [, a, , c] = ids(chord);
    const twice = conflictsOf(chord, { pins: { [a!]: 2, [c!]: 2 } });
    expect(twice).toEqual([
      { notes: [a, c], words: "At bar 1, beat 1¼, finger 2 is pinned to more than one key. It is kept as pinned." },
    ]);
    const wide = studyOfKeys([[60, 76]]);
    const [low, high] = ids(wide);
    expect(conflictsOf(wide, { pins: { [low!]: 2, [high!]: 4 } })[0]!.notes).toEqual([low, high]);
    const rests: Study = { ...chord, hands: { ...chord.hands, right: { ...chord.hands.right, resting: [2] } } };
    expect(conflictsOf(rests, { pins: { [a!]: 2 } })[0]!.words).toMatch(/finger 2 is pinned and is resting/);
  });

  it("are none where pins can be kept", () => {
    const chord = studyOfKeys([[60, 64, 67]]);
    expect(conflictsOf(chord, { pins: { [ids(chord)[0]!]: 1 } })).toEqual([]);
  });

  it("are named where every finger is ruled out, and the passage is answered all the same", () => {
    const study = studyOfKeys([60, 62]);
    const [first] = ids(study);
    const ruledOut = { [first!]: [1, 2, 3, 4, 5] } as const;
    expect(conflictsOf(study, { ruledOut })[0]!.notes).toEqual([first]);
    expect(bestFingerings(study, { ruledOut }, 1)[0]![first!]).not.toBeNull();
  });
});

describe("what is ruled out", () => {
  it("is kept: a finger on a note, the thumb on black, 4 and 5 in turn", () => {
    const study = studyOfKeys([61, 63, 66, 68, 70, 73, 75, 78]);
    const notes = ids(study);
    const [free] = bestFingerings(study, {}, 1);
    const [without] = bestFingerings(study, { ruledOut: { [notes[2]!]: [free![notes[2]!]!] } }, 1);
    expect(without![notes[2]!]).not.toBe(free![notes[2]!]);
    const [off] = bestFingerings(study, { noThumbOnBlack: true }, 1);
    expect(notes.map((id) => off![id])).not.toContain(1);
    const rising = studyOfKeys([60, 62, 64, 65, 67, 65, 67]);
    for (const fingering of bestFingerings(rising, { noFourthAndFifth: true }, 20)) {
      const digits = ids(rising)
        .map((id) => fingering[id])
        .join("");
      expect(digits).not.toMatch(/45|54/);
    }
  });

  it("costs no less than being free", () => {
    const study = studyOfKeys([60, 62, 64, 65, 67, 69, 71, 72]);
    const free = judge(study, bestFingerings(study, {}, 1)[0]!).strain;
    const asked = { ruledOut: { [ids(study)[3]!]: [1] } } as const;
    expect(judge(study, bestFingerings(study, asked, 1)[0]!).strain).toBeGreaterThanOrEqual(free);
  });
});

describe("a note that one finger must hold", () => {
  const held = passage([
    note("low", 60, "0", "2"),
    ...[64, 67, 71, 72].map((key, i) => note(`n${i}`, key, `${1 + i}/4`, "1/4")),
  ]);
  const study = studyOn(held);
  const letsGo = (fingering: Fingering) =>
    Object.values(judge(study, fingering).notes).some((n) => n.causes.some((c) => c.cause === "held-note"));

  it("is let go by none of the fingerings found, where some would", () => {
    const [free, kept] = [{}, { mustHold: ["low" as NoteId] }].map((asked) => bestFingerings(study, asked, 200));
    expect(free!.some(letsGo)).toBe(true);
    expect(kept!.length).toBeGreaterThan(0);
    expect(kept!.some(letsGo)).toBe(false);
  });
});
