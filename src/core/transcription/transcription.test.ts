import { seeded } from "../../../tests/support/seeded";
import type { Pitch } from "../keyboard/pitch";
import { beats, toNumber, type Beats } from "../time/beats";
import { barsOf } from "./bars";
import { beatByEar } from "./beat-by-ear";
import { byRegister } from "./by-register";
import { griddedAt } from "./grid";
import type { KeyHeard } from "./heard";
import { measuredBy } from "./lengths";
import { metreByEar } from "./metre-by-ear";
import { ornamentsIn } from "./ornaments";
import { signatureOf } from "./signature";
import { spelledIn } from "./spelling";
import { voicedIn } from "./voices";

const places = (moments: readonly number[], spread = 0.006): readonly string[] => griddedAt(moments, spread, 32).places;

describe("a grid", () => {
  it("divides every beat in the one way that fits it", () => {
    expect(places([0, 0.5, 1, 1.25, 1.5, 1.75, 2])).toEqual(["0", "1/2", "1", "5/4", "3/2", "7/4", "2"]);
    expect(places([0, 1 / 3, 2 / 3, 1, 1.2, 1.4, 1.6, 1.8])).toEqual([
      "0",
      "1/3",
      "2/3",
      "1",
      "6/5",
      "7/5",
      "8/5",
      "9/5",
    ]);
    expect(places([0, 2 / 3, 4 / 3, 2])).toEqual(["0", "2/3", "4/3", "2"]);
  });

  it("forgives what is played unevenly, and says where it could as well be otherwise", () => {
    const even = griddedAt([0.02, 0.48, 1.03, 1.49, 2], 0.05, 16);
    expect(even.places).toEqual(["0", "1/2", "1", "3/2", "2"]);
    expect(even.otherwise).toEqual([null, null, null, null, null]);
    expect(griddedAt([0, 1, 1.5, 2, 2.17, 2.5, 3], 0.1, 8).otherwise[4]).not.toBeNull();
    expect(griddedAt([], 0.05, 16)).toEqual({ places: [], otherwise: [], cells: [], cost: 0 });
  });

  it("puts no moment before another that came before it", () => {
    for (let seed = 1; seed <= 40; seed++) {
      const random = seeded(seed);
      let at = 0;
      const moments = Array.from({ length: 40 }, () => (at += 0.04 + random.next()));
      const found = griddedAt(moments, 0.05, 32).places.map((place) => toNumber(place));
      found.slice(1).forEach((place, i) => expect(place).toBeGreaterThanOrEqual(found[i]!));
    }
  });
});

describe("the beat by ear", () => {
  it.each([72, 84, 92])("is found at %i where the music moves in halves of it", (tempo) => {
    const random = seeded(tempo);
    const quarter = 60_000 / tempo;
    const moments = Array.from({ length: 48 }, (_, i) => {
      return { ms: 200 + i * (quarter / 2) + random.about(0, 8), weight: i % 2 === 0 ? 1.4 : 0.9 };
    });
    const found = beatByEar(moments);
    expect(Math.abs(found.tempo - tempo) / tempo).toBeLessThan(0.03);
    expect(found.quarters.at(-1)! - found.quarters[0]!).toBeCloseTo(23.5, 0);
  });
});

describe("bars", () => {
  it("go by what stands out", () => {
    const accents = (bar: number, from: number) =>
      Array.from({ length: 48 }, (_, i) => ({ at: i, weight: (i - from) % bar === 0 && i >= from ? 3 : 1 }));
    expect(metreByEar(accents(3, 0))).toEqual({ time: [3, 4], upbeat: 0 });
    expect(metreByEar(accents(4, 1))).toEqual({ time: [4, 4], upbeat: 1 });
    expect(metreByEar([{ at: 0, weight: 1 }])).toEqual({ time: [4, 4], upbeat: 0 });
  });

  it("end where a new time signature begins, and a short first one is an upbeat", () => {
    const times = [
      { at: 0, time: [1, 4] as const },
      { at: 1, time: [3, 4] as const },
      { at: 7, time: [2, 4] as const },
    ];
    const asked = { times, signatures: [{ at: 4, fifths: 2 }], upbeat: "0" as Beats, until: beats(11) };
    expect(barsOf(asked).map(({ number, length, fifths }) => `${number}: ${length}, ${fifths}`)).toEqual([
      "0: 1, 2",
      "1: 3, 2",
      "2: 3, 2",
      "3: 2, 2",
      "4: 2, 2",
    ]);
  });
});

describe("key and spelling", () => {
  const spell = (keys: readonly number[], fifths: number): string =>
    spelledIn(
      keys.map((key, i) => {
        return { key: key as Pitch, at: i, fifths, before: keys[i - 1] ?? null, after: keys[i + 1] ?? null };
      }),
    )
      .map(({ pitch: { step, alter } }) => step + (alter > 0 ? "#" : "b").repeat(Math.abs(alter)))
      .join(" ");

  it("find the signature of a scale, major and minor", () => {
    const scale = (tonic: number, steps: readonly number[]) =>
      steps.map((by, i) => ({ key: (tonic + by) as Pitch, at: i, ends: i + (by === 0 || by === 7 ? 2 : 1) }));
    expect(signatureOf(scale(62, [0, 2, 4, 5, 7, 9, 11, 12]))).toBe(2);
    expect(signatureOf(scale(60, [0, 2, 3, 5, 7, 8, 11, 12]))).toBe(-3);
    expect(signatureOf([])).toBe(0);
  });

  it("write a leading note below its goal and a lowered one above it", () => {
    expect(spell([62, 61, 62], -1)).toBe("D C# D");
    expect(spell([69, 68, 69], 0)).toBe("A G# A");
    expect(spell([60, 61, 60], -4)).toBe("C Db C");
    expect(spell([65, 66, 67], 0)).toBe("F F# G");
    expect(spell([68, 67, 68], 4)).toBe("G# F## G#");
  });
});

describe("ornaments", () => {
  const key = (pitch: number, ms: number, msEnds: number): KeyHeard => {
    return { key: pitch as Pitch, ms, msEnds, at: ms / 500, ends: msEnds / 500, velocity: 60, track: 0 };
  };

  it("are grace notes before a note, and none in a quick run", () => {
    const { graces } = ornamentsIn([key(60, 0, 440), key(74, 455, 500), key(72, 500, 1000)], true);
    expect([...graces]).toEqual([[1, { to: 2, order: -1 }]]);
    const run = Array.from({ length: 8 }, (_, i) => key(60 + i, i * 62.5, (i + 1) * 62.5));
    expect(ornamentsIn(run, true).graces.size).toBe(0);
  });

  it("are a trill where two neighbours go by turns faster than is written out", () => {
    const trill = Array.from({ length: 10 }, (_, i) => key(i % 2 === 0 ? 72 : 74, i * 81, i * 81 + 70));
    const { trills, inTrill } = ornamentsIn(trill, false);
    expect([...trills]).toEqual([[0, { last: 9 }]]);
    expect(inTrill.size).toBe(9);
  });
});

describe("hands, voices and lengths", () => {
  const at = (key: number, from: string, length: string) => {
    return { key: key as Pitch, at: beats(from), length: beats(length) };
  };

  it("leave a line with the hand that has it, however far it walks", () => {
    const up = Array.from({ length: 16 }, (_, i) => at(48 + 2 * i, String(i), "1"));
    const bass = Array.from({ length: 4 }, (_, i) => at(36, String(4 * i), "4"));
    const all = [...up, ...bass].sort((a, b) => toNumber(a.at) - toNumber(b.at) || a.key - b.key);
    const sides = byRegister(all);
    expect(new Set(all.flatMap((one, i) => (one.key === 36 ? [sides[i]] : [])))).toEqual(new Set(["left"]));
    expect(sides.filter((side) => side === "right").length).toBe(16);
  });

  it("give what overlaps a voice of its own, and what begins and ends together one", () => {
    const notes = [at(60, "0", "2"), at(64, "0", "2"), at(76, "0", "1"), at(74, "1", "1")];
    expect(voicedIn(notes).map(({ voice }) => voice)).toEqual([1, 1, 0, 0]);
    const many = Array.from({ length: 7 }, (_, i) => at(60 + i, "0", String(i + 1)));
    expect(Math.max(...voicedIn(many).map(({ voice }) => voice))).toBe(3);
  });

  it("last until the grid where they are let go on it, else until what they are bound to", () => {
    const cells = [{ from: 0, length: 1, parts: 1 }];
    const next = [beats(0), beats(1), beats(2)];
    expect(measuredBy({ at: beats(0), ends: 0.75 }, next, cells, 0.006).length).toBe("3/4");
    expect(measuredBy({ at: beats(0), ends: 0.93 }, next, cells, 0).length).toBe("1");
    expect(measuredBy({ at: beats(0), ends: 2.1 }, next, cells, 0).length).toBe("2");
  });
});
