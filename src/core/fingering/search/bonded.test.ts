import { seeded } from "../../../../tests/support/seeded";
import { note, passage } from "../../../../tests/support/passages";
import { studyOn } from "../../../../tests/support/studies";
import { drain } from "../../drain";
import type { Bond } from "./conditions";
import type { Stroke } from "../../passage/line";
import { price } from "../cost/price";
import { latticesOf, solving, tasksOf, type Study } from "../study/study";

/** A figure of single notes and two-note chords, a note between, and the figure again some semitones away. */
function returning(random: ReturnType<typeof seeded>, length: number): { study: Study; bonds: readonly Bond[] } {
  const keys = Array.from({ length }, () => random.whole(58, 70));
  const by = random.pick([1, 2, -3, 5, 12]);
  const line = [...keys, random.whole(58, 70), ...keys.map((key) => key + by)];
  const doubled = random.chance(0.4) ? random.whole(0, length - 1) : -1;
  const notes = line.flatMap((key, i) => {
    const own = note(`n${i}`, key, `${i}/4`, "1/4");
    return i % (length + 1) === doubled ? [own, note(`d${i}`, key + 4, `${i}/4`, "1/2")] : [own];
  });
  const bonds = keys.map((_, i) => [`n${i}`, `n${i + length + 1}`] as unknown as Bond);
  return { study: studyOn(passage(notes), { tempo: random.pick([60, 160]) }), bonds };
}

/**
 * All digits of all strokes, priced by the function that prices a printed fingering: bonds kept, or where they have a
 * worth, that added for each one broken.
 */
function oracle({ study, bonds }: ReturnType<typeof returning>, worth = Infinity): number {
  const task = tasksOf(study)[0]!;
  const { strokes, onsets } = task.line;
  const partner = new Map(bonds.map(([a, b]) => [b!, a!]));
  const digits = new Int8Array(strokes.length);
  let least = Infinity;
  const other = (stroke: Stroke): Stroke | undefined =>
    strokes.find((s) => s.notes[0] === partner.get(stroke.notes[0]!));
  const place = (at: number): void => {
    const stroke = strokes[at];
    if (stroke === undefined) {
      const broken = strokes.filter((s) => other(s) && digits[other(s)!.index] !== digits[s.index]).length;
      least = Math.min(least, price(task, digits).total + (broken === 0 ? 0 : broken * worth));
      return;
    }
    const bound = other(stroke);
    for (let finger = 1; finger <= 5; finger++) {
      if (bound && worth === Infinity && digits[bound.index] !== finger) continue;
      // Chords here have two notes and are always in reach in natural order.
      const lower: Stroke = onsets[stroke.onset]!.struck[0]!;
      if (lower !== stroke && digits[lower.index]! >= finger) continue;
      digits[at] = finger;
      const pair = lower === stroke ? [] : [lower, stroke].map((s) => ({ finger: digits[s.index] as 1, key: s.key }));
      if (pair.length > 0 && task.placements.look(pair).kind !== "held") continue;
      place(at + 1);
    }
    digits[at] = 0;
  };
  place(0);
  return least;
}

describe("tied figures", () => {
  it("are solved exactly, as trying every fingering that keeps the ties shows", () => {
    const random = seeded(41);
    let dearer = 0;
    for (let trial = 0; trial < 30; trial++) {
      const given = returning(random, random.whole(2, 3));
      const lattices = latticesOf(given.study);
      const [tied] = drain(solving(lattices, { bonds: given.bonds }, 1));
      const [free] = drain(solving(lattices, {}, 1));
      expect(tied!.exact).toBe(true);
      expect(tied!.total).toBeCloseTo(oracle(given), 6);
      for (const [a, b] of given.bonds) expect(tied!.fingering[a!]).toBe(tied!.fingering[b!]);
      if (tied!.total > free!.total + 1e-6) dearer++;
    }
    expect(dearer).toBeGreaterThanOrEqual(5);
  });

  it("are weighed exactly against what they are worth where they may give way", () => {
    const random = seeded(43);
    let [kept, broken] = [0, 0];
    for (let trial = 0; trial < 24; trial++) {
      const given = returning(random, 2);
      const worth = random.pick([0.5, 3, 12]);
      const memories = given.bonds.map(([note, other]) => ({ note: note!, returns: [{ note: other!, worth }] }));
      const [found] = drain(solving(latticesOf(given.study), { memories }, 1));
      expect(found!.exact).toBe(true);
      expect(found!.total).toBeCloseTo(oracle(given, worth), 6);
      const same = given.bonds.every(([a, b]) => found!.fingering[a!] === found!.fingering[b!]);
      if (same) kept++;
      else broken++;
    }
    expect(Math.min(kept, broken)).toBeGreaterThanOrEqual(2);
  });

  it("keep pins, and leave loose what is pinned to two fingers", () => {
    const { study, bonds } = returning(seeded(3), 3);
    const [[first, second], [third, fourth]] = bonds as unknown as [[string, string], [string, string]];
    const pins = { [first]: 2, [second]: 3, [fourth]: 4 } as never;
    const [{ fingering }] = drain(solving(latticesOf(study), { pins, bonds }, 1)) as unknown as [
      { fingering: Record<string, number> },
    ];
    expect([fingering[first], fingering[second], fingering[third], fingering[fourth]]).toEqual([2, 3, 4, 4]);
  });

  it("give more than one, all with the same tied fingers", () => {
    const { study, bonds } = returning(seeded(8), 3);
    const list = drain(solving(latticesOf(study), { bonds }, 4));
    expect(list).toHaveLength(4);
    for (const { fingering } of list) for (const [a, b] of bonds) expect(fingering[a!]).toBe(fingering[b!]);
  });
});
