import { MANNER, placementsFor } from "../../../../tests/support/studies";
import { mostApart } from "../../../../tests/support/apart";
import { note, passage, randomPassage } from "../../../../tests/support/passages";
import { seeded } from "../../../../tests/support/seeded";
import { drain } from "../../drain";
import type { Finger, Side } from "../../hand/finger";
import { handOfRulerSpan } from "../../hand/hand";
import { FULL_SIZE } from "../../keyboard/instrument";
import { lineOf } from "../../passage/line";
import type { Passage } from "../../passage/passage";
import { candidatesFor } from "./candidates";
import { price, framesOf } from "../cost/price";
import { WEIGHTS } from "../cost/weights";
import { latticeOf } from "../search/lattice";
import type { Layer } from "../search/layer";
import { pinsOnly } from "../search/terms";
import { search, searching } from "../search/search";
import type { Task } from "../study/task";

function taskOf(given: Passage, side: Side = "right", span = 205, resting: readonly Finger[] = []): Task {
  const hand = handOfRulerSpan(side, span, resting);
  return {
    line: lineOf(given, side, MANNER),
    hand,
    instrument: FULL_SIZE,
    placements: placementsFor(side, span),
    manner: MANNER,
    own: {},
    weights: WEIGHTS,
  };
}

const chord = (...keys: number[]) => passage(keys.map((key, i) => note(`n${i}`, key, "0", "1")));

describe("candidates", () => {
  const digits = (task: Task, pins = new Int8Array(9)) =>
    candidatesFor(task.line.onsets[0]!, pins, task).map(({ struck }) => struck.map((p) => p.finger).join(""));

  it("keep the fingers in their order, in both hands", () => {
    expect(digits(taskOf(chord(60, 64, 67)))).toContain("135");
    expect(digits(taskOf(chord(60, 64, 67))).every((d) => d === [...d].sort().join(""))).toBe(true);
    const left = taskOf({ ...chord(60, 64, 67), hands: "left" }, "left");
    const struck = candidatesFor(left.line.onsets[0]!, new Int8Array(3), left).map((c) =>
      c.struck.map((p) => [p.finger, p.stroke.key]),
    );
    expect(struck).toContainEqual([
      [1, 67],
      [3, 64],
      [5, 60],
    ]);
  });

  it("never use a resting finger, and leave out no more notes than they must", () => {
    const task = taskOf(chord(60, 64, 67), "right", 205, [1, 2, 3]);
    const all = candidatesFor(task.line.onsets[0]!, new Int8Array(3), task);
    expect(all.flatMap((c) => c.struck.map((p) => p.finger)).every((f) => f >= 4)).toBe(true);
    expect(new Set(all.map((c) => c.leftOut.length))).toEqual(new Set([1]));
  });

  it("answer with nothing struck when every finger rests", () => {
    const task = taskOf(chord(60), "right", 205, [1, 2, 3, 4, 5]);
    expect(candidatesFor(task.line.onsets[0]!, new Int8Array(1), task)).toEqual([
      { struck: [], leftOut: task.line.strokes },
    ]);
  });
});

describe("frames", () => {
  it("hold a note until its end, or until its finger is wanted", () => {
    const task = taskOf(passage([note("long", 72, "0", "3"), note("a", 64, "1", "1"), note("b", 65, "2", "1")]));
    const heldIn = (digits: number[]) => framesOf(task, Int8Array.from(digits)).map((f) => f.held.map((p) => p.finger));
    expect(heldIn([5, 1, 2])).toEqual([[], [5], [5]]);
    expect(heldIn([5, 1, 5])).toEqual([[], [5], []]);
    expect(heldIn([5, 5, 1])).toEqual([[], [], []]);
  });

  it("let go what is out of reach and say by how much", () => {
    const task = taskOf(passage([note("low", 48, "0", "2"), note("high", 76, "1", "1")]));
    const [, frame] = framesOf(task, Int8Array.of(1, 5));
    expect(frame!.held).toEqual([]);
    expect(frame!.letGo[0]!.short).toBeGreaterThan(100);
  });

  it("price one finger on two keys without breaking, for printed digits may say so", () => {
    const task = taskOf(chord(60, 62));
    expect(Number.isFinite(price(task, Int8Array.of(1, 1)).total)).toBe(true);
  });
});

describe("a lattice kept between searches", () => {
  it("answers for any pins as a fresh search does", () => {
    const random = seeded(99);
    let pinned = 0;
    for (let trial = 0; trial < 80; trial++) {
      const side = random.pick(["right", "left"] as const);
      const task = taskOf(randomPassage(random, 8, side), side, 195);
      const kept = latticeOf(task);
      for (let round = 0; round < 4; round++) {
        const pins = new Int8Array(task.line.strokes.length);
        for (let i = 0; i < round; i++) pins[random.whole(0, pins.length - 1)] = random.whole(1, 5);
        const again = drain(searching(kept, pinsOnly(pins), 3));
        const fresh = drain(searching(latticeOf(task, pins), pinsOnly(new Int8Array(pins.length)), 3));
        expect(again.map((f) => f.total)).toEqual(fresh.map((f) => expect.closeTo(f.total, 6) as number));
        expect(search(task, pins, 3)).toEqual(again);
        if (round > 0) pinned++;
      }
    }
    expect(pinned).toBe(240);
  });
});

describe("steps met before", () => {
  it("cost the same when they are taken from what is known as when they are laid out anew", () => {
    const random = seeded(123);
    // Figures that return in other octaves, with other rhythms between them and now and then a held note.
    for (let trial = 0; trial < 12; trial++) {
      const side = random.pick(["right", "left"] as const);
      const figure = Array.from({ length: 4 }, () => random.whole(52, 60));
      const notes = Array.from({ length: 6 }, (_, turn) =>
        figure.map((key, i) =>
          note(`t${turn}n${i}`, key + 12 * (turn % 3), String(4 * turn + i), random.chance(0.1) ? "3" : "1"),
        ),
      ).flat();
      const task = taskOf(passage(notes, side), side, 195);
      const [known, anew] = [latticeOf(task), latticeOf(task, new Int8Array(task.line.strokes.length))];
      for (const { index } of task.line.onsets) {
        const [a, b] = [known.layer(index), anew.layer(index)];
        expect(mostApart(a.pair, b.pair)).toBeLessThan(1e-9);
        if (index > 0) {
          const befores = known.layer(index - 1).ending;
          const triples = (of: Layer) =>
            [...of.from].flatMap((from, state) => befores[from]!.map((_, n) => of.triple(state, n)));
          expect(mostApart(triples(a), triples(b))).toBeLessThan(1e-9);
        }
        const centres = (frames: typeof a.frames) => Float64Array.from(frames, (f) => f.centre);
        expect(mostApart(centres(a.frames), centres(b.frames))).toBeLessThan(1e-9);
      }
    }
  });
});
