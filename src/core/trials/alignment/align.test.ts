import { seeded, type Seeded } from "../../../../tests/support/seeded";
import { studyOfKeys } from "../../../../tests/support/studies";
import { pitch } from "../../keyboard/pitch";
import { READING } from "../../physics";
import { expectedOf, type OnsetExpected } from "../expected";
import type { KeyStruck } from "../take";
import { aligned } from "./align";
import { BEFORE, eachMove, jump, jumpCost, type Reader, type Standing } from "./moves";

const struck = (key: number, downMs: number): KeyStruck => ({
  key: pitch(key),
  downMs,
  upMs: downMs + 100,
  velocity: 64,
});

/** What the cheapest of all readings costs: every one is tried, none is left out early. */
function leastOfAll(reader: Reader): number {
  const all = { closed: Infinity, open: Infinity };
  const from = (standing: Standing, j: number): number => {
    if (j === reader.keys.length) return 0;
    let least = Infinity;
    const take = (to: Standing, _: unknown, cost: number): void =>
      void (least = Math.min(least, cost + from(to, j + 1)));
    eachMove(reader, standing, j, all, take);
    reader.onsets.forEach(({ notes }, onset) =>
      notes.forEach(({ key }, note) => {
        if (key === reader.keys[j]!.key) jump(onset, note, j, jumpCost(reader, j), take);
      }),
    );
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
