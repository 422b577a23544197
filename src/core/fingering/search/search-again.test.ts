import { note, passage } from "../../../../tests/support/passages";
import { seeded, type Seeded } from "../../../../tests/support/seeded";
import { studyOn } from "../../../../tests/support/studies";
import { drain } from "../../drain";
import { price } from "../cost/price";
import { tasksOf } from "../study/study";
import type { Task } from "../study/task";
import { latticeOf } from "./lattice";
import { searching } from "./search";
import { searchAgain, type Searched } from "./search-again";
import { BY_FINGER, makeOthersDearer, termsOf, type Terms } from "./terms";

/** A line that walks, with a chord here and there, a note that is held at times, and a stay over a part of it. */
function walking(random: Seeded, length: number): { task: Task; terms: Terms } {
  let key = 64;
  const notes = Array.from({ length }, (_, i) => {
    key = Math.min(76, Math.max(55, key + random.whole(-4, 4)));
    const own = note(`n${i}`, key, `${i}/4`, random.chance(0.1) ? "3/4" : "1/4");
    return random.chance(0.15) ? [own, note(`d${i}`, key + 5, `${i}/4`, "1/4")] : [own];
  }).flat();
  const task = tasksOf(studyOn(passage(notes), { tempo: random.pick([60, 160]) }))[0]!;
  const inStay = task.line.strokes.filter(({ onset }) => onset > 3 && onset < 9).map(({ notes: [id] }) => [id!]);
  const stays = random.chance(0.5) && inStay.length <= 10 ? [{ keys: inStay, worth: 6 }] : [];
  return { task, terms: termsOf(task.line, { stays }) };
}

/** Some pins and some strain added, or taken away again, at a few places. */
function changed(random: Seeded, terms: Terms): Terms {
  const [pins, dearer] = [
    Int8Array.from(terms.pins),
    Float64Array.from(terms.dearer ?? new Float64Array(terms.pins.length * BY_FINGER)),
  ];
  for (let n = random.whole(1, 4); n > 0; n--) {
    const stroke = random.whole(0, pins.length - 1);
    if (random.chance(0.3)) pins[stroke] = pins[stroke] ? 0 : random.whole(1, 5);
    else makeOthersDearer(dearer, stroke, random.whole(1, 5), random.pick([-3, 2, 8]));
  }
  return { ...terms, pins, dearer };
}

function addedBy({ dearer }: Terms, digits: Int8Array): number {
  return digits.reduce((sum, digit, stroke) => sum + (dearer?.[stroke * BY_FINGER + digit] ?? 0), 0);
}

describe("a line that is searched again", () => {
  it("costs what it costs when it is searched anew, whatever was changed", () => {
    const random = seeded(17);
    for (let trial = 0; trial < 12; trial++) {
      const given = walking(random, random.whole(6, 40));
      const lattice = latticeOf(given.task);
      let { terms } = given;
      let searched: Searched | null = null;
      for (let round = 0; round < 12; round++) {
        searched = searchAgain(lattice, terms, searched);
        const [anew] = drain(searching(lattice, terms, 1));
        expect(searched.total).toBeCloseTo(anew!.total, 6);
        if (terms.stays.size === 0) {
          const own = price(given.task, searched.digits).total + addedBy(terms, searched.digits);
          expect(searched.total).toBeCloseTo(own, 6);
        }
        terms = changed(random, terms);
      }
    }
  });

  it("is looked at only about what was changed", () => {
    const random = seeded(5);
    const { task, terms } = walking(random, 300);
    const lattice = latticeOf(task);
    const first = searchAgain(lattice, terms, null);
    expect(first.onsets).toBe(300);
    const dearer = new Float64Array(terms.pins.length * BY_FINGER);
    makeOthersDearer(dearer, 150, first.digits[150]! === 2 ? 3 : 2, 12);
    const second = searchAgain(lattice, { ...terms, dearer }, first);
    expect(second.onsets).toBeLessThan(60);
    expect(searchAgain(lattice, { ...terms, dearer }, second)).toMatchObject({
      onsets: 0,
      total: second.total,
      digits: second.digits,
    });
  });

  it("keeps pins that no fingers in natural order can", () => {
    const notes = [60, 62, 64, 65].flatMap((key, i) => [
      note(`n${i}`, key, `${i}/4`, "1/4"),
      ...(i === 2 ? [note("d", key + 3, `${i}/4`, "1/4")] : []),
    ]);
    const [task] = tasksOf(studyOn(passage(notes)));
    const lattice = latticeOf(task!);
    const free = searchAgain(lattice, termsOf(task!.line, {}), null);
    const pinned = searchAgain(lattice, termsOf(task!.line, { pins: { n2: 3, d: 2 } as never }), free);
    const [lower, upper] = task!.line.onsets[2]!.struck;
    expect([pinned.digits[lower!.index], pinned.digits[upper!.index]]).toEqual([3, 2]);
    expect(searchAgain(lattice, termsOf(task!.line, {}), pinned).total).toBeCloseTo(free.total, 9);
  });
});
