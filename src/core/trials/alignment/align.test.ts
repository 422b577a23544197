import { seeded, type Seeded } from "../../../../tests/support/seeded";
import { studyOfKeys } from "../../../../tests/support/studies";
import { pitch } from "../../keyboard/pitch";
import { READING } from "../../physics";
import { expectedOf, isOfOrnament, type OnsetExpected } from "../expected";
import type { KeyStruck } from "../take";
import { aligned } from "./align";
import { BEFORE, begunAt, eachMove, endCost, jumpCost, type Reader, type Standing } from "./moves";
import { AHEAD, musicOf } from "./music";

const struck = (key: number, downMs: number): KeyStruck => ({
  key: pitch(key),
  downMs,
  upMs: downMs + 100,
  velocity: 64,
});

/** What the cheapest of all readings costs: every one is tried, none is left out early. */
function leastOfAll(reader: Reader): number {
  const known = new Map<string, number>();
  const from = (standing: Standing, j: number): number => {
    if (j === reader.keys.length) return endCost(standing);
    const name = `${j} ${Object.values(standing).join(" ")}`;
    let least = known.get(name) ?? Infinity;
    if (least < Infinity) return least;
    const take = (to: Standing, cost: number): void => void (least = Math.min(least, cost + from(to, j + 1)));
    eachMove(reader, standing, j, Infinity, take);
    reader.onsets.forEach((here, onset) => {
      const begin = (note: number): void => take(begunAt(onset, note, j), jumpCost(reader, j));
      here.notes.forEach(({ key }, note) => key === reader.keys[j]!.key && begin(note));
      if (isOfOrnament(here, reader.keys[j]!.key)) begin(-1);
    });
    known.set(name, least);
    return least;
  };
  return from(BEFORE, 0);
}

function randomMusic(random: Seeded, many: number): readonly OnsetExpected[] {
  const low = (): number => random.whole(60, 64);
  const keys = Array.from({ length: many }, () =>
    random.chance(0.4) ? [...new Set([low(), low() + 5, low()])] : low(),
  );
  return expectedOf(studyOfKeys(keys));
}

/** One bar again and again, with another at the end: many places have the same music ahead, and it parts somewhere. */
function repeatedMusic(random: Seeded): readonly OnsetExpected[] {
  const one = (): number | number[] => {
    const key = random.whole(60, 72);
    return random.chance(0.2) ? [key, key + random.whole(3, 7)] : key;
  };
  const bar = Array.from({ length: random.whole(1, 9) }, one);
  const often = Array.from({ length: Math.ceil((2.5 * AHEAD) / bar.length) }, () => bar).flat();
  return expectedOf(studyOfKeys([...often, one(), one(), one()]));
}

/** The music played from some place on, with faults, and now and then from another place; chords as far apart as `spread` ms. */
function playedThrough(random: Seeded, onsets: readonly OnsetExpected[], spread = 12, faults = 0.04): KeyStruck[] {
  const keys: KeyStruck[] = [];
  let [at, ms] = [random.whole(0, Math.min(9, onsets.length - 1)), 0];
  for (let many = 0; many < 130 && at < onsets.length; many++, at++, ms += random.whole(140, 170)) {
    if (random.chance(0.02)) at = random.whole(0, onsets.length - 1);
    for (const { key } of onsets[at]!.notes) {
      if (random.chance(faults)) continue;
      keys.push(struck(key + (random.chance(faults) ? random.pick([-2, -1, 1, 2]) : 0), ms + random.whole(0, spread)));
      if (random.chance(0.03)) keys.push(struck(key, ms + 60));
    }
  }
  return keys.sort((a, b) => a.downMs - b.downMs);
}

describe("the cheapest reading of a take", () => {
  it("costs what the cheapest of all readings costs, tried one by one", () => {
    const random = seeded(71);
    let jumped = 0;
    for (let trial = 0; trial < 160; trial++) {
      const onsets = randomMusic(random, random.whole(2, 4));
      let ms = 0;
      const any = Array.from({ length: random.whole(1, 5) }, () => random.whole(59, 69));
      const through = onsets.slice(0, 3).map(({ notes }) => notes[0]!.key + (random.chance(0.2) ? 1 : 0));
      const asked = random.chance(0.5) ? any : [...through, ...through];
      const keys = asked.map((key, j) => {
        ms += j === through.length ? 900 : random.pick([5, 30, 150, 300, 900]);
        return struck(key, ms);
      });
      const quarterMs = keys.map(() => 625);
      const reader: Reader = {
        onsets,
        keys,
        quarterMs,
        timeFree: random.pick([READING.timeFree, READING.timeFreeKnown]),
      };
      const found = aligned(reader);
      expect(found.cost).toBeCloseTo(leastOfAll(reader), 9);
      jumped += found.meant.filter(({ jumps }) => jumps).length;
    }
    expect(jumped).toBeGreaterThan(10);
  });

  it("costs as little where chords are struck apart, one after the other and in part", () => {
    const random = seeded(89);
    for (let trial = 0; trial < 120; trial++) {
      const chord = (): number[] => [random.whole(50, 54), random.whole(60, 63), random.whole(66, 68)];
      const keys = Array.from({ length: 5 }, () => chord().slice(0, random.whole(1, 3)));
      const onsets = expectedOf(studyOfKeys(keys));
      const played = playedThrough(random, onsets, random.pick([12, 220]), 0.15).slice(0, 12);
      const timeFree = READING.timeFreeKnown;
      const reader: Reader = { onsets, keys: played, quarterMs: played.map(() => 625), timeFree };
      expect(aligned(reader).cost).toBeCloseTo(leastOfAll(reader), 9);
    }
  });

  it("costs as little where ornaments may move, and where the reading begins anew in the middle of one", () => {
    const random = seeded(313);
    let ornaments = 0;
    for (let trial = 0; trial < 250; trial++) {
      const onsets = randomMusic(random, random.whole(3, 5)).map((onset) =>
        random.chance(0.35) ? { ...onset, ornamented: [onset.notes[0]!.key] } : onset,
      );
      const keys: KeyStruck[] = [];
      let ms = 0;
      const order = random.chance(0.5) ? onsets : [...onsets.slice(0, 2), ...onsets.slice(random.whole(0, 3))];
      for (const { notes, ornamented } of order) {
        if (random.chance(0.15)) continue;
        for (const { key } of notes) keys.push(struck(key + (random.chance(0.15) ? 1 : 0), (ms += 20)));
        for (let more = ornamented ? random.whole(0, 5) : 0; more > 0; more--, ornaments++)
          keys.push(struck(notes[0]!.key + random.pick([1, 2, -1, 0]), (ms += 60)));
        ms += random.pick([150, 300, 700]);
      }
      const played = keys.slice(0, 11);
      if (played.length === 0) continue;
      const reader = { onsets, keys: played, quarterMs: played.map(() => 625), timeFree: READING.timeFreeKnown };
      expect(aligned(reader).cost).toBeCloseTo(leastOfAll(reader), 9);
    }
    expect(ornaments).toBeGreaterThan(300);
  });

  it("is the same whether places with the same music ahead are looked at together or each for itself", () => {
    const random = seeded(404);
    let [shared, doubtful, jumped] = [0, 0, 0];
    for (let trial = 0; trial < 12; trial++) {
      const onsets = repeatedMusic(random);
      const keys = playedThrough(random, onsets);
      const reader: Reader = { onsets, keys, quarterMs: keys.map(() => 625), timeFree: READING.timeFreeKnown };
      const music = musicOf(onsets);
      const found = aligned(reader, music);
      const oneByOne = aligned(
        reader,
        musicOf(
          onsets,
          onsets.map((_, i) => i),
        ),
      );
      expect(found.cost).toBeCloseTo(oneByOne.cost, 6);
      expect(found.doubtful).toEqual(oneByOne.doubtful);
      expect(found.meant.filter((_, j) => !found.doubtful.includes(j))).toEqual(
        oneByOne.meant.filter((_, j) => !found.doubtful.includes(j)),
      );
      shared += onsets.length - new Set(Array.from(music.ahead)).size;
      doubtful += found.doubtful.length;
      jumped += found.meant.filter(({ jumps }) => jumps).length;
    }
    expect(Math.min(shared / 400, doubtful / 20, jumped / 8)).toBeGreaterThan(1);
  });

  it("says which keys could be read otherwise as well", () => {
    const onsets = expectedOf(studyOfKeys([60, 60, 62]));
    // One of two equal notes is left out, and the time is half way between them.
    const keys = [struck(60, 0), struck(62, 225)];
    const reader = { onsets, keys, quarterMs: [600, 600, 600], timeFree: READING.timeFree };
    expect(aligned(reader).doubtful).toEqual([0]);
    expect(aligned({ ...reader, timeFree: READING.timeFreeKnown }).doubtful).toEqual([]);
    expect(aligned({ ...reader, keys: [struck(60, 0), struck(60, 150), struck(62, 300)] }).doubtful).toEqual([]);
  });

  it("reads no key where none was struck", () => {
    const onsets = expectedOf(studyOfKeys([60]));
    expect(aligned({ onsets, keys: [], quarterMs: [], timeFree: 0 })).toEqual({ meant: [], doubtful: [], cost: 0 });
  });
});
