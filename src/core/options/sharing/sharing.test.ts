import { note, passage } from "../../../../tests/support/passages";
import { seeded, type Seeded } from "../../../../tests/support/seeded";
import { studyOn } from "../../../../tests/support/studies";
import { drain } from "../../drain";
import type { Side } from "../../hand/finger";
import type { NoteId } from "../../passage/note";
import type { Passage } from "../../passage/passage";
import { price } from "../../fingering/cost/price";
import { WEIGHTS } from "../../fingering/cost/weights";
import { judge, latticesOf, solving, tasksOf, type Study } from "../../fingering/study/study";
import { asShared, share, sharing } from "./sharing";
import { sharingWeights, type SharingWishes } from "./wishes";

/** Single notes for both hands, one after another, none held over the next. */
function alternating(random: Seeded, onsets: number): Passage {
  let key = random.whole(52, 66);
  const notes = Array.from({ length: onsets }, (_, i) => {
    key = Math.min(80, Math.max(44, key + random.whole(-9, 9)));
    const staff = key >= 60 ? 1 : 2;
    // A key is never struck again while it is held.
    return note(`n${i}`, key, `${i}/4`, "1/4", { staff });
  });
  return passage(notes, "both", 2);
}

/** Every way to give single notes to the hands that keeps them uncrossed, by the rule as it is stated. */
function waysToShare({ notes }: Passage): Readonly<Record<NoteId, Side>>[] {
  const written = notes.map((n): Side => (n.staff === 1 ? "right" : "left"));
  const ways: Readonly<Record<NoteId, Side>>[] = [];
  const give = (at: number, taken: Record<NoteId, Side>, right: number, left: number): void => {
    const next = notes[at];
    if (next === undefined) {
      ways.push({ ...taken });
      return;
    }
    for (const side of ["right", "left"] as const) {
      const [r, l] = side === "right" ? [next.pitch, left] : [right, next.pitch];
      if (side !== written[at] && l >= r) continue;
      give(at + 1, { ...taken, [next.id]: side }, r, l);
    }
  };
  give(0, {}, Infinity, -Infinity);
  return ways;
}

function changes({ notes }: Passage, taken: Readonly<Record<NoteId, Side>>): number {
  return notes.filter((n) => taken[n.id] !== (n.staff === 1 ? "right" : "left")).length;
}

const withWeights = (study: Study, wishes: SharingWishes): Study => ({
  ...study,
  weights: sharingWeights(WEIGHTS, wishes),
});

/** The least over all ways to share, with the exact one-hand search inside. */
function bySearch(study: Study, wishes: SharingWishes): number {
  return Math.min(
    ...waysToShare(study.passage).map((taken) => {
      const shared = withWeights({ ...study, passage: { ...study.passage, taken } }, wishes);
      const [best] = drain(solving(latticesOf(shared), {}, 1));
      return best!.total + WEIGHTS.handChanged * changes(study.passage, taken);
    }),
  );
}

/** The least over all ways to share and all digits, each priced by the function that prices a printed fingering. */
function byEnumeration(study: Study): number {
  const least = (taken: Readonly<Record<NoteId, Side>>): number =>
    tasksOf(withWeights({ ...study, passage: { ...study.passage, taken } }, { allowed: "all" })).reduce((sum, task) => {
      const digits = new Int8Array(task.line.strokes.length);
      let best = digits.length === 0 ? 0 : Infinity;
      const place = (at: number): void => {
        if (at === digits.length) best = Math.min(best, price(task, digits).total);
        else
          for (let finger = 1; finger <= 5; finger++) {
            digits[at] = finger;
            place(at + 1);
          }
      };
      if (digits.length > 0) place(0);
      return sum + best;
    }, 0);
  return Math.min(
    ...waysToShare(study.passage).map((taken) => least(taken) + WEIGHTS.handChanged * changes(study.passage, taken)),
  );
}

describe("sharing between the hands", () => {
  it("finds the best of all ways to share twelve onsets, with the exact one-hand search inside each", () => {
    const random = seeded(12);
    for (const easier of ["even", "leaps", "finger-work"] as const) {
      const study = studyOn(alternating(random, easier === "even" ? 12 : 8));
      const wishes = { allowed: "all", easier } as const;
      const found = share(study, wishes);
      expect(found.total).toBeCloseTo(bySearch(study, wishes), 6);
      const shared = withWeights({ ...study, passage: asShared(study.passage, found) }, wishes);
      const judged = judge(shared, found.fingering);
      const again = judged.strain * study.passage.notes.length + WEIGHTS.handChanged * Object.keys(found.taken).length;
      expect(again).toBeCloseTo(found.total, 6);
    }
  });

  it("finds the best of all hands and digits of six notes", () => {
    const random = seeded(6);
    for (let trial = 0; trial < 2; trial++) {
      const study = studyOn(alternating(random, 6), { tempo: random.pick([60, 140]) });
      const found = drain(sharing(study, { allowed: "all" }, 100_000));
      expect(found.exact).toBe(true);
      expect(found.total).toBeCloseTo(byEnumeration(study), 6);
    }
  });

  /** A run down two octaves in threes, written for one hand and the other by turns. */
  const cadenza = passage(
    [76, 72, 69, 74, 71, 67, 72, 69, 65, 71, 67, 64, 69, 65, 62, 67, 64, 60, 65, 62, 59, 64, 60, 57].map((key, i) =>
      note(`c${i}`, key, `${i}/3`, "1/3", { staff: 1 + (i % 2), bar: String(1 + Math.floor(i / 12)) }),
    ),
    "both",
    2,
  );

  it("regroups two bars written for alternating hands, and shows it as brackets", () => {
    const study = studyOn(cadenza);
    const asWritten = share(study, { allowed: "none" });
    const regrouped = share(study, { allowed: "all" });
    expect(asWritten.taken).toEqual({});
    expect(regrouped.total).toBeLessThan(asWritten.total);
    const inBrackets = regrouped.brackets.flatMap((b) => b.notes);
    expect(inBrackets.sort()).toEqual(Object.keys(regrouped.taken).sort());
    for (const { side, notes } of regrouped.brackets) for (const id of notes) expect(regrouped.taken[id]).toBe(side);
  });

  it("moves marked notes alone where only they may move", () => {
    const marked = ["c1", "c3", "c5"] as NoteId[];
    const { taken } = share(studyOn(cadenza), { allowed: "marked", marked });
    expect(Object.keys(taken).every((id) => marked.includes(id as NoteId))).toBe(true);
  });

  it("keeps the hands from reaching past one another unless that is allowed", () => {
    const study = studyOn(cadenza);
    const crossed = share(study, { allowed: "all", crossing: true });
    expect(crossed.total).toBeLessThanOrEqual(share(study, { allowed: "all" }).total + 1e-9);
  });

  it("takes notes out of a chord that one hand cannot hold", () => {
    const chord = passage(
      [48, 55, 60, 76].map((key, i) => note(`n${i}`, key, "0", "1", { staff: 1 })),
      "both",
      2,
    );
    const { taken, fingering } = share(studyOn(chord), { allowed: "all" });
    expect(Object.values(taken)).toContain("left");
    expect(Object.values(fingering)).not.toContain(null);
  });

  it("says when ways were given up", () => {
    const wide = drain(sharing(studyOn(alternating(seeded(4), 14)), { allowed: "all", crossing: true }, 40));
    expect(wide.exact).toBe(false);
  });
});
