import { passageOfKeys } from "../../passage/of-keys";
import { lineOf, type Onset } from "../../passage/line";
import type { Manner } from "../../passage/passage";
import { KnownSteps, nameOfSteps } from "./known-steps";
import type { Steps } from "./layer";

const MANNER: Manner = { tempo: 72, touch: "legato", pedal: false };

function onsetsOf(keys: readonly number[], manner: Partial<Manner> = {}): readonly Onset[] {
  return lineOf(passageOfKeys(keys, "1/3", "right"), "right", { ...MANNER, ...manner }).onsets;
}

function names(onsets: readonly Onset[]): readonly (string | null)[] {
  return onsets.map((onset, i) => nameOfSteps(onsets[i - 1] ?? null, onset));
}

const FIGURE = [60, 64, 62, 65, 67, 59, 60, 66];

describe("the name of steps", () => {
  it("is one wherever in a piece a figure is played, in whichever octave, at a tempo that divides badly", () => {
    const turns = Array.from({ length: 40 }, (_, turn) => FIGURE.map((key) => key + 12 * (turn % 2)));
    const found = names(onsetsOf(turns.flat()));
    const within = (turn: number) => found.slice(turn * FIGURE.length + 2, (turn + 1) * FIGURE.length - 1);
    for (let turn = 1; turn < 40; turn++) expect(within(turn)).toEqual(within(0));
    expect(new Set(within(0)).size).toBe(5);
  });

  it("tells other keys, times and touches apart", () => {
    const plain = names(onsetsOf(FIGURE))[4];
    expect(names(onsetsOf(FIGURE.map((key) => key + 1)))[4]).not.toBe(plain);
    expect(names(onsetsOf(FIGURE, { tempo: 73 }))[4]).not.toBe(plain);
    expect(names(onsetsOf(FIGURE, { touch: "detached" }))[4]).not.toBe(plain);
  });

  it("is none beside the last keys", () => {
    expect(names(onsetsOf([24, 21, 26, 28]))).toEqual([expect.any(String), null, null, expect.any(String)]);
  });
});

describe("steps that are known", () => {
  const steps = { from: new Int32Array(4) } as Steps;

  it("are found by their name, and what they cost after others is one list", () => {
    const known = new KnownSteps();
    const [one, other] = [known.add("one", steps), known.add("other", steps)];
    expect(known.find("one")).toBe(one);
    expect(known.find("third")).toBeNull();
    expect(known.triplesAfter(one, other, 4)).toBe(known.triplesAfter(one, other, 4));
    expect(known.triplesAfter(other, one, 4)).not.toBe(known.triplesAfter(one, other, 4));
    expect([...known.triplesAfter(one, other, 2)].every(Number.isNaN)).toBe(true);
  });

  it("have a list of their own each time where they are like no others", () => {
    const known = new KnownSteps();
    const [one, nameless] = [known.add("one", steps), known.add(null, steps)];
    expect(known.triplesAfter(one, nameless, 4)).not.toBe(known.triplesAfter(one, nameless, 4));
    expect(known.triplesAfter(null, one, 4)).not.toBe(known.triplesAfter(null, one, 4));
  });

  it("all give way where there is no more room, and none is taken for one that was", () => {
    const known = new KnownSteps();
    const old = known.add("one", steps);
    const large = known.triplesAfter(old, known.add("other", steps), 700_000);
    large.fill(1);
    known.triplesAfter(old, known.add("third", steps), 700_000);
    expect(known.find("one")).toBeNull();
    const again = known.add("one", steps);
    expect(again.id).not.toBe(old.id);
    expect(known.triplesAfter(again, known.add("other", steps), 4)).toEqual(new Float64Array(4).fill(NaN));
  });
});
