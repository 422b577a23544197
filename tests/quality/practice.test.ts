import type { Side } from "@/core/hand/finger";
import type { Manner } from "@/core/passage/passage";
import { isBlack, type Pitch } from "@/core/keyboard/pitch";
import type { Keys } from "../../quality/keys";
import { best, digits, studyOf } from "../../quality/solve";

/** Judgement cases from common teaching practice: each says what the practice is. */

function fingers(keys: readonly Keys[], side: Side = "right", manner: Partial<Manner> = {}, span?: number): string[] {
  const study = studyOf(keys, side, manner, span);
  const all = digits(study, best(study));
  let at = 0;
  return keys.map((entry) => {
    const size = [entry].flat().length;
    at += size;
    return all.slice(at - size, at);
  });
}

const BOTH: readonly Side[] = ["right", "left"];
const WHITES = [0, 2, 4, 5, 7, 9, 11, 12, 14, 16, 17, 19, 21, 23, 24];
const inThirds = (low: number): number[][] => WHITES.slice(0, 8).map((k, i) => [low + k, low + WHITES[i + 2]!]);
const inSixths = (low: number): number[][] => WHITES.slice(0, 8).map((k, i) => [low + k, low + WHITES[i + 5]!]);

describe("common practice", () => {
  it.each(BOTH)("chromatic scales: the thumb keeps to white keys and long fingers to black ones, %s", (side) => {
    const keys = Array.from({ length: 13 }, (_, i) => 60 + i);
    for (const line of [keys, [...keys].reverse()]) {
      const found = fingers(line, side);
      line.forEach((key, i) => {
        if (isBlack(key as Pitch)) expect("234").toContain(found[i]);
      });
    }
  });

  it.each(BOTH)("double thirds: 1 3, 2 4 and 3 5 follow one another, no pair twice running, %s", (side) => {
    const found = fingers(inThirds(side === "right" ? 60 : 48), side);
    const pairs = new Set(found.map((pair) => [...pair].sort().join("")));
    for (const pair of ["13", "24", "35"]) expect(pairs).toContain(pair);
    expect(pairs).not.toContain("45");
    found.slice(1).forEach((pair, i) => expect(pair).not.toBe(found[i]));
  });

  it.each(BOTH)(
    "double sixths: the thumb or index below, 4 and 5 in turn above, no finger of the outer voice twice, %s",
    (side) => {
      const found = fingers(inSixths(side === "right" ? 60 : 48), side, { tempo: 72 });
      const outer = found.map((pair) => (side === "right" ? pair[1] : pair[0]));
      outer.forEach((finger, i) => {
        expect("345").toContain(finger);
        if (i > 0) expect(finger).not.toBe(outer[i - 1]);
      });
    },
  );

  it("octaves: the thumb with 4 or 5, and 4 where the outer key is black and the next is white", () => {
    const lows = [60, 61, 62, 63, 64];
    const found = fingers(lows.map((k) => [k, k + 12]));
    for (const pair of found) expect(["14", "15"]).toContain(pair);
    expect([found[1], found[3]]).toEqual(["14", "14"]);
  });

  it("octaves of a small hand: 5 on every white key", () => {
    const lows = [60, 62, 64, 65];
    const found = fingers(
      lows.map((k) => [k, k + 12]),
      "right",
      { touch: "detached", tempo: 60 },
      180,
    );
    expect(found).toEqual(["15", "15", "15", "15"]);
  });

  it("broken sevenths: four fingers in order, then the thumb again", () => {
    expect(fingers([60, 63, 66, 69, 72, 75, 78, 81, 84]).join("")).toBe("123412345");
  });

  it.each([
    [72, 74],
    [66, 68],
    [69, 70],
    [71, 72],
  ])("trills between %i and %i: one pair throughout, never 4 with 5", (low, high) => {
    for (const side of BOTH) {
      const found = fingers([low, high, low, high, low, high, low, high], side, { tempo: 120 });
      expect(new Set(found).size).toBe(2);
      expect([...new Set(found)].sort().join("")).not.toBe("45");
    }
  });

  it("repeated notes: one finger when slow, fingers in turn when fast", () => {
    const keys = Array.from({ length: 8 }, () => 67);
    expect(new Set(fingers(keys, "right", { tempo: 40 })).size).toBe(1);
    const fast = fingers(keys, "right", { tempo: 132 });
    fast.slice(1).forEach((finger, i) => expect(finger).not.toBe(fast[i]));
  });

  const FIVE = [0, 2, 4, 5, 7, 5, 4, 2, 0];
  // E flat and B flat in the right hand begin with a black key, a white and two more: 2 or 3 may begin there.
  it.each([0, 1, 2, 4, 5, 6, 7, 8, 9, 11])(
    "five-finger figures lie under five fingers from the right thumb, %i semitones above C",
    (root) => {
      expect(fingers(FIVE.map((k) => 60 + root + k)).join("")).toBe("123454321");
    },
  );

  // D flat and F sharp in the left begin with two and three black keys: long fingers may lie there.
  it.each([0, 2, 3, 4, 5, 7, 8, 9, 10, 11])("and from the left little finger, %i semitones above C", (root) => {
    expect(
      fingers(
        FIVE.map((k) => 48 + root + k),
        "left",
      ).join(""),
    ).toBe("543212345");
  });

  it.each([60, 65, 67])("block triads and their inversions on white keys from %i, both hands", (root) => {
    const chord = (...keys: number[]): Keys[] => [keys];
    expect(fingers(chord(root, root + 4, root + 7))).toEqual(["135"]);
    expect(fingers(chord(root + 4, root + 7, root + 12))).toEqual(["125"]);
    expect(fingers(chord(root + 7, root + 12, root + 16))).toEqual(["135"]);
    expect(fingers(chord(root - 12, root - 8, root - 5), "left")).toEqual(["531"]);
    expect(fingers(chord(root - 8, root - 5, root), "left")).toEqual(["531"]);
    expect(fingers(chord(root - 5, root, root + 4), "left")).toEqual(["521"]);
  });

  it("triads with their octave: 3 where a third lies below the top, 4 where a fourth does", () => {
    expect(fingers([[60, 64, 67, 72]])).toEqual(["1235"]);
    expect(fingers([[64, 67, 72, 76]])).toEqual(["1245"]);
  });

  it("the thumb stays off black keys in broken chords that have a white one", () => {
    for (const keys of [
      [61, 65, 68, 73, 77, 80],
      [58, 62, 65, 70, 74, 77],
    ]) {
      const found = fingers(keys);
      keys.forEach((key, i) => {
        if (found[i] === "1") expect(isBlack(key as Pitch)).toBe(false);
      });
    }
  });
});
