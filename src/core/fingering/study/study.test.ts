import fc from "fast-check";
import { note, passage, randomPassage } from "../../../../tests/support/passages";
import { seeded } from "../../../../tests/support/seeded";
import { studyOfKeys, studyOn } from "../../../../tests/support/studies";
import { FINGERS } from "../../hand/finger";
import { drain } from "../../drain";
import type { NoteId } from "../../passage/note";
import { findingFirstOptions } from "../../options/first-options";
import type { Fingering, Pins } from "./fingering";
import { optionName } from "../../options/option-name";
import { reasonForNone } from "../explain/reasons";
import { mergeBest } from "../search/merge";
import { lyingAt, stepsOf } from "./steps";
import { bestFingerings, judge, notesAsked } from "./study";

describe("a study", () => {
  it("can be taken apart: causes add up to notes, and notes to the mean", () => {
    const random = seeded(3);
    for (let trial = 0; trial < 40; trial++) {
      const study = studyOn(randomPassage(random, 6, "right"));
      const [best] = bestFingerings(study, {}, 1);
      const judged = judge(study, best!);
      const notes = Object.values(judged.notes);
      for (const { strain, causes } of notes)
        expect(causes.reduce((sum, c) => sum + c.strain, 0)).toBeCloseTo(strain, 6);
      expect(notes.reduce((sum, n) => sum + n.strain, 0) / judged.onsets).toBeCloseTo(judged.strain, 6);
      expect(judged.peak!.strain).toBe(Math.max(...notes.map((n) => n.strain)));
    }
  });

  it("puts the hands together as if each were alone", () => {
    const notes = [
      note("r1", 72, "0", "1"),
      note("r2", 74, "1", "1"),
      note("l1", 48, "0", "1", { staff: 2 }),
      note("l2", 45, "1", "1", { staff: 2 }),
    ];
    const both = bestFingerings(studyOn(passage(notes, "both", 2)), {}, 1)[0]!;
    const right = bestFingerings(studyOn(passage(notes, "right", 2)), {}, 1)[0]!;
    const left = bestFingerings(studyOn(passage(notes, "left", 2)), {}, 1)[0]!;
    expect(both).toEqual({ ...right, ...left });
    expect(notesAsked(studyOn(passage(notes, "left", 2)))).toEqual(["l1", "l2"]);
  });

  it("keeps to pins and works out the rest around them", () => {
    const study = studyOfKeys([60, 62, 64, 65, 67]);
    const id = notesAsked(study)[2]!;
    const [pinned] = bestFingerings(study, { pins: { [id]: 1 } as Pins }, 1);
    expect(pinned![id]).toBe(1);
    expect(judge(study, pinned!).strain).toBeGreaterThan(judge(study, bestFingerings(study, {}, 1)[0]!).strain);
  });

  it("plays a unison of two voices with one finger", () => {
    const study = studyOn(passage([note("a", 60, "0", "1"), note("b", 60, "0", "2", { voice: "2" })]));
    const [best] = bestFingerings(study, {}, 1);
    expect(best!["a" as NoteId]).toBe(best!["b" as NoteId]);
  });

  it("says why no finger plays a note", () => {
    const wide = studyOfKeys([[48, 55, 64, 72]]);
    const [best] = bestFingerings(wide, {}, 1);
    const missing = notesAsked(wide).find((id) => best![id] === null)!;
    expect(reasonForNone(wide, missing)).toBe(
      "The right hand cannot hold these keys together: 1 and 5 are 122 mm short.",
    );
    const many = studyOfKeys([[60, 62, 64, 65, 67, 69]]);
    expect(reasonForNone(many, notesAsked(many)[0]!)).toMatch(/strikes 6 keys here and has 5 fingers/);
    const idle = { ...many, hands: { ...many.hands, right: { ...many.hands.right, resting: FINGERS } } };
    expect(notesAsked(idle)).toEqual([]);
    expect(reasonForNone(idle, notesAsked(many)[0]!)).toBe("Every finger of the right hand is resting.");
    expect(bestFingerings(idle, {}, 3)).toEqual([{}]);
  });

  it("answers the same passage the same way every time", () => {
    const study = studyOn(randomPassage(seeded(11), 12, "left"));
    expect(bestFingerings(study, {}, 10)).toEqual(bestFingerings(study, {}, 10));
  });
});

describe("options", () => {
  it("opens a passage with the best, with others that are another idea, and with the printed digits", () => {
    const keys = studyOfKeys([60, 62, 64, 65, 67, 69, 71, 72]);
    const study = {
      ...keys,
      passage: { ...keys.passage, notes: keys.passage.notes.map((n, i) => ({ ...n, printed: i === 0 ? 2 : null })) },
    };
    const options = drain(findingFirstOptions(study));
    const printed = options.at(-1)!;
    expect(options.map((o) => o.name)).toEqual(["A", "B", "C", "D"].slice(0, options.length));
    expect(options.map((o) => o.origin)).toEqual([...options.slice(1).map(() => "solved"), "printed"]);
    expect(options[0]!.leaning).toBe("balanced");
    expect(printed.fingering[notesAsked(study)[0]!]).toBe(2);
    expect(printed.pins).toEqual({ [notesAsked(study)[0]!]: 2 });
  });

  it("is named by letters", () => {
    expect([0, 1, 25, 26, 53].map(optionName)).toEqual(["A", "B", "Z", "A2", "B3"]);
  });

  it("merges lists into the k cheapest sums, as trying all of them does", () => {
    const costs = fc
      .array(fc.integer({ min: 0, max: 50 }), { minLength: 1, maxLength: 8 })
      .map((list) => [...list].sort((a, b) => a - b));
    fc.assert(
      fc.property(fc.array(costs, { minLength: 1, maxLength: 3 }), (lists) => {
        const merged = mergeBest(
          lists.map((list) => list.map((total) => ({ total, item: total }))),
          5,
        ).map(({ item }) => item.reduce((a, b) => a + b, 0));
        let sums = [0];
        for (const list of lists) sums = sums.flatMap((sum) => list.map((total) => sum + total));
        expect(merged).toEqual(sums.sort((a, b) => a - b).slice(0, 5));
      }),
    );
  });
});

describe("steps", () => {
  it("gather both hands at one moment, and show held fingers until their note ends", () => {
    const notes = [
      note("hold", 60, "0", "2"),
      note("a", 64, "0", "1"),
      note("b", 65, "1", "1"),
      note("low", 40, "0", "1", { staff: 2 }),
      note("low2", 43, "2", "1", { staff: 2 }),
    ];
    const study = studyOn(passage(notes, "both", 2));
    expect(stepsOf(study).map((s) => s.notes)).toEqual([["low", "hold", "a"], ["b"], ["low2"]]);
    const digits = { hold: 1, a: 3, b: 4, low: 5, low2: 4 } as unknown as Fingering;
    const lying = lyingAt(study, digits);
    expect(lying.map((l) => [[...l.right.contacts.keys()].sort(), [...l.left.contacts.keys()]])).toEqual([
      [[1, 3], [5]],
      [[1, 4], []],
      [[], [4]],
    ]);
    expect(lying[0]!.right.placement?.strain).toBeGreaterThanOrEqual(0);
    expect(lying[2]!.right.placement).toBeNull();
  });
});
