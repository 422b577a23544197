import { note, passage } from "../../../../tests/support/passages";
import { seeded } from "../../../../tests/support/seeded";
import { studyOn } from "../../../../tests/support/studies";
import { drain } from "../../drain";
import { price } from "../cost/price";
import { tasksOf } from "../study/study";
import type { Task } from "../study/task";
import type { Stay } from "./conditions";
import { latticeOf } from "./lattice";
import { searching } from "./search";
import { mayChange, staysOn } from "./staying";
import { pinsOnly } from "./terms";

/** A line in which few keys come often, with one chord of two at times, and a stay over a part of it. */
function staying(random: ReturnType<typeof seeded>, length: number): { task: Task; stay: Stay } {
  const some = Array.from({ length: random.whole(2, 4) }, () => random.whole(58, 72));
  const keys = Array.from({ length }, () => random.pick(some));
  const doubled = random.chance(0.3) ? random.whole(0, 4) : -1;
  const notes = keys.flatMap((key, i) => [
    note(`n${i}`, key, `${i}/4`, "1/4"),
    ...(i === doubled ? [note("d", key + 5, `${i}/4`, "1/4")] : []),
  ]);
  const [first, last] = [random.whole(0, 1), random.whole(length - 2, length - 1)];
  const byKey = new Map<number, string[]>();
  keys.slice(first, last + 1).forEach((key, i) => byKey.set(key, [...(byKey.get(key) ?? []), `n${i + first}`]));
  const staff = random.pick([1, 2]);
  const study = studyOn(passage(notes.map((each) => ({ ...each, staff }))), { tempo: random.pick([60, 160]) });
  return {
    task: tasksOf(study)[0]!,
    stay: { keys: [...byKey.values()] as unknown as Stay["keys"], worth: random.pick([1, 6, 20]) },
  };
}

/** How often a key gets another finger than it has, or a finger strikes that has another key or lies on the wrong side of one. */
function breaksIn({ task, stay }: ReturnType<typeof staying>, digits: Int8Array): number {
  const keys = task.line.strokes.map(({ key }) => (task.line.side === "right" ? key : -key));
  const indexOf = new Map(task.line.strokes.map(({ notes, index }) => [notes[0]!, index]));
  const struck = stay.keys
    .flatMap((notes) => notes.map((id) => ({ at: indexOf.get(id)! })))
    .sort((a, b) => a.at - b.at);
  const has = new Map<number, number>();
  let breaks = 0;
  for (const { at } of struck) {
    const [key, finger] = [keys[at]!, digits[at]!];
    if (has.has(key) && has.get(key) !== finger) breaks++;
    has.delete(key);
    for (const [other, of] of [...has]) {
      if (of !== finger && other < key === of < finger) continue;
      breaks++;
      has.delete(other);
    }
    has.set(key, finger);
  }
  return breaks;
}

/** Every fingering in natural order and in reach, with the strain of a printed one and what the stay adds: cheapest first. */
function tried(given: ReturnType<typeof staying>): readonly number[] {
  const { task, stay } = given;
  const { strokes, onsets } = task.line;
  const digits = new Int8Array(strokes.length);
  const totals: number[] = [];
  const place = (at: number): void => {
    if (at === strokes.length) {
      totals.push(price(task, digits).total + stay.worth * breaksIn(given, digits));
      return;
    }
    const lower = onsets[strokes[at]!.onset]!.struck[0]!;
    for (let finger = 1; finger <= 5; finger++) {
      const apart = (finger - digits[lower.index]!) * (task.line.side === "right" ? 1 : -1);
      if (lower.index !== at && apart <= 0) continue;
      digits[at] = finger;
      const pair = [lower, strokes[at]!].map((s) => ({ finger: digits[s.index] as 1, key: s.key }));
      if (lower.index === at || task.placements.look(pair).kind === "held") place(at + 1);
    }
  };
  place(0);
  return totals.sort((a, b) => a - b);
}

describe("a hand that stays", () => {
  it("is fingered as cheaply as any of all fingerings, with what it is worth that keys keep their fingers, and so are the next best", () => {
    const random = seeded(1905);
    let changed = 0;
    for (let trial = 0; trial < 24; trial++) {
      const given = staying(random, trial % 4 === 0 ? 6 : 5);
      const terms = pinsOnly(new Int8Array(given.task.line.strokes.length));
      const stays = staysOn(given.task.line, [given.stay]);
      const lattice = latticeOf(given.task);
      const reference = tried(given);
      for (const k of [1, 5]) {
        const found = drain(searching(lattice, { ...terms, stays }, k));
        expect(found).toHaveLength(k);
        found.forEach(({ total }, i) => expect(Math.abs(total - reference[i]!)).toBeLessThan(1e-6));
        expect(new Set(found.map(({ digits }) => digits.join())).size).toBe(found.length);
      }
      const [free] = drain(searching(lattice, terms, 1));
      if (free!.total < reference[0]! - 1e-6) changed++;
    }
    // Some of them would have been fingered otherwise.
    expect(changed).toBeGreaterThan(4);
  });

  it("may have to change a key's finger only where it has had another", () => {
    expect(mayChange(0, 0o123)).toBe(0);
    expect(mayChange(0o123, 0o123)).toBe(0);
    expect(mayChange(0o103, 0o143)).toBe(0);
    expect(mayChange(0o143, 0o103)).toBe(1);
    expect(mayChange(0o321, 0o123)).toBe(2);
  });
});
