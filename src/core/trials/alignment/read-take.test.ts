import { randomPassage } from "../../../../tests/support/passages";
import { seeded } from "../../../../tests/support/seeded";
import { studyOfKeys, studyOn } from "../../../../tests/support/studies";
import { bestFingerings } from "../../fingering/study/study";
import { pitch } from "../../keyboard/pitch";
import { expectedOf } from "../expected";
import { playSimulated, type Simulated } from "../simulated/simulated-piano";
import type { Take } from "../take";
import { readTake, type TakeRead } from "./read-take";

const played = (keys: readonly (readonly [key: number, ms: number])[], tempo = 96): Take => ({
  keys: keys.map(([key, downMs]) => ({ key: pitch(key), downMs, upMs: downMs + 120, velocity: 64 })),
  pedal: [],
  source: "midi file",
  tempo,
  click: false,
  hands: "right",
  snip: null,
});

/** Keys of which the reading says what the simulated piano knows of them. */
function rightly({ read }: TakeRead, { truth }: Simulated): number {
  return truth.filter(({ note }, j) => {
    const one = read[j]!;
    return note === null ? !("note" in one) : "note" in one && one.note.id === note;
  }).length;
}

describe("a take read", () => {
  it.each([
    [5, 0.99],
    [15, 0.97],
  ])("of the simulated piano at %d faults in 100 is what it knows it did", (faults, share) => {
    const random = seeded(19 + faults);
    let [right, all] = [0, 0];
    for (let trial = 0; trial < 14; trial++) {
      const side = random.pick(["right", "left"] as const);
      const study = studyOn(randomPassage(random, 40, side), { tempo: random.pick([60, 100, 150]) });
      const simulated = playSimulated(study, bestFingerings(study, {}, 1)[0]!, { seed: trial, faults });
      right += rightly(readTake(expectedOf(study), simulated.take), simulated);
      all += simulated.truth.length;
    }
    expect(all).toBeGreaterThan(500);
    expect(right / all).toBeGreaterThanOrEqual(share);
  });

  const RUN = [60, 62, 64, 65, 67, 69, 71, 72];
  const onsets = expectedOf(studyOfKeys(RUN));
  const inTempo = (keys: readonly number[], from = 0): [number, number][] => keys.map((k, i) => [k, from + i * 156]);

  it("follows the player's tempo, and waits through a pause", () => {
    const slower = RUN.map((k, i): [number, number] => [k, i * 400 + (i > 4 ? 2500 : 0)]);
    const { read, runs } = readTake(onsets, played(slower));
    expect(read.every(({ kind }) => kind === "right")).toBe(true);
    expect(runs).toHaveLength(1);
  });

  it("reads a false start and a return to an earlier place each for itself", () => {
    const falseStart = [...inTempo(RUN.slice(0, 3)), ...inTempo(RUN, 1400)];
    expect(readTake(onsets, played(falseStart)).runs.map(({ from, to }) => [from, to])).toEqual([
      [0, 2],
      [0, 7],
    ]);
    const back = [...inTempo(RUN.slice(0, 6)), ...inTempo(RUN.slice(2), 1800)];
    expect(readTake(onsets, played(back)).runs.map(({ from, to }) => [from, to])).toEqual([
      [0, 5],
      [2, 7],
    ]);
  });

  it("tells missed, wrong, twice, neighbours and added keys apart", () => {
    const kinds = (keys: [number, number][]) => readTake(onsets, played(keys)).read.map(({ kind }) => kind);
    const run = inTempo(RUN);
    expect(readTake(onsets, played(run.filter((_, i) => i !== 3))).runs[0]!.missed).toEqual([onsets[3]!.notes[0]!.id]);
    expect(kinds(run.map(([k, ms], i) => [i === 3 ? 66 : k, ms]))[3]).toBe("wrong");
    expect(kinds([...run, [66, 3 * 156 + 20]])[4]).toBe("neighbour");
    expect(kinds([...run, [65, 3 * 156 + 70]])[4]).toBe("twice");
    expect(kinds([...run, [90, 3 * 156 + 70]])[4]).toBe("added");
  });

  it("takes a chord for one onset however it is spread, and a hand that lags for late", () => {
    const chords = expectedOf(
      studyOfKeys([
        [60, 64, 67],
        [62, 65, 69],
      ]),
    );
    const spread = played([
      [67, 0],
      [64, 60],
      [60, 130],
      [62, 160],
      [69, 190],
      [65, 200],
    ]);
    expect(readTake(chords, spread).read.every(({ kind }) => kind === "right")).toBe(true);
    const lagging = played([
      [64, 0],
      [67, 4],
      [62, 156],
      [60, 170],
      [65, 180],
      [69, 190],
    ]);
    expect(readTake(chords, lagging).read.every(({ kind }) => kind === "right")).toBe(true);
    expect(readTake(chords, lagging).runs[0]!.missed).toEqual([]);
  });

  it("says nothing of a take without keys", () => {
    expect(readTake(onsets, played([]))).toMatchObject({ read: [], runs: [], doubtful: [] });
  });
});

describe("an ornament whose sign is written", () => {
  const plain = studyOfKeys([60, 64, 67, 65], "right", { tempo: 60 });
  const signed = {
    ...plain,
    passage: {
      ...plain.passage,
      notes: plain.passage.notes.map((note, i) => (i === 1 ? { ...note, ornamented: true } : note)),
    },
  };
  const kinds = (study: typeof plain, keys: readonly (readonly [number, number])[]): readonly string[] =>
    readTake(expectedOf(study), played(keys, 60)).read.map(({ kind }) => kind);
  const TRILL = [
    [60, 0],
    [64, 250],
    [65, 290],
    [64, 330],
    [65, 370],
    [64, 410],
    [67, 500],
    [65, 750],
  ] as const;

  it("may be played with as many notes as the player likes, and none of them is a fault", () => {
    expect(kinds(signed, TRILL)).toEqual(["right", "right", ...Array<string>(4).fill("ornament"), "right", "right"]);
    expect(kinds(plain, TRILL)).not.toContain("ornament");
    expect(
      kinds(signed, [
        [60, 0],
        [64, 250],
        [67, 500],
        [65, 750],
      ]),
    ).toEqual(Array<string>(4).fill("right"));
  });

  it("may begin on the note above", () => {
    const from = [
      [60, 0],
      [65, 250],
      [64, 290],
      [65, 330],
      [64, 370],
      [67, 500],
      [65, 750],
    ] as const;
    const read = kinds(signed, from);
    expect(read.filter((kind) => kind === "right")).toHaveLength(4);
    expect(read.filter((kind) => kind === "ornament")).toHaveLength(3);
  });

  it("excuses nothing elsewhere", () => {
    expect(
      kinds(signed, [
        [60, 0],
        [64, 250],
        [67, 500],
        [72, 600],
        [65, 750],
      ])[3],
    ).toBe("added");
  });
});
