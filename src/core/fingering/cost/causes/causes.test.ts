import { findings } from "../../../../../tests/support/findings";
import { fingered, studyOfKeys } from "../../../../../tests/support/studies";
import { judge } from "../../study/study";
import type { Manner } from "../../../passage/passage";
import { MOTION } from "../../../physics";
import { CAUSES } from "./index";

describe("each cause", () => {
  it("has a name, a label, a unit and a source of its own", () => {
    expect(new Set(CAUSES.map((c) => c.id)).size).toBe(CAUSES.length);
    for (const { label, source } of CAUSES) {
      expect(label.length).toBeGreaterThan(3);
      expect(source).toMatch(/\.$/);
    }
  });

  it("opening: counts the mm beyond relaxed, by the pair that opens", () => {
    // C to C with 1 and 5: an octave of 164.5 mm on a hand relaxed to 10 semitones of 137.1 mm by 187 / 205.6.
    const [octave] = findings(studyOfKeys([60, 72]), "15", "opening");
    expect(octave!.found.amount).toBeCloseTo(164.5 - (10 * (164.5 / 12) * 187) / ((15 * 164.5) / 12), 6);
    expect(octave!.found.words).toMatch(/^1 and 5 open 40 mm more than at rest$/);
    expect(findings(studyOfKeys([60, 62]), "12", "opening")).toEqual([]);
  });

  it("crowding: counts fingers closer than relaxed", () => {
    expect(findings(studyOfKeys([60, 62]), "15", "crowding")[0]!.found.words).toMatch(
      /^1 and 5 squeeze together, \d+ mm closer than at rest$/,
    );
  });

  it("thumb pass: is worse with the thumb on black under a finger on white", () => {
    const strain = (keys: number[]) => findings(studyOfKeys(keys), "31", "thumb-pass")[0]!.found.strain;
    expect(strain([64, 66])).toBeGreaterThan(strain([64, 65]));
    expect(strain([64, 65])).toBeGreaterThan(strain([63, 65]));
    expect(findings(studyOfKeys([64, 65]), "13", "thumb-pass")).toEqual([]);
  });

  it("crossing: speaks of long fingers over one another, not of the thumb", () => {
    const crossed = (digits: string) =>
      findings(
        studyOfKeys(
          [
            [64, 67],
            [63, 67],
          ] as number[][],
          "right",
        ),
        digits,
        "crossing",
      ).length;
    expect(crossed("2434")).toBeGreaterThan(0);
    expect(crossed("1414")).toBe(0);
  });

  it("weak finger: counts 4 and 5 at work, and weak pairs where they come fast", () => {
    expect(findings(studyOfKeys([60, 64]), "13", "weak-finger")).toEqual([]);
    const words = (tempo: number) =>
      findings(studyOfKeys([64, 65, 67], "right", { tempo }), "345", "weak-finger").map((f) => f.found.words);
    expect(words(96)).toEqual(
      expect.arrayContaining(["3 and 4 one after the other, fast", "the little finger has to work"]),
    );
    expect(words(40).join()).not.toContain("fast");
  });

  it("fingers in turn: 4 and 5 most, 2 and 3 not, and only where they come fast", () => {
    const strain = (digits: string, tempo: number) =>
      findings(studyOfKeys([72, 74, 72, 74], "right", { tempo }), digits, "alternation").reduce(
        (sum, f) => sum + f.found.strain,
        0,
      );
    expect(strain("4545", 120)).toBeGreaterThan(strain("3434", 120));
    expect(strain("3434", 120)).toBeGreaterThan(strain("2323", 120));
    expect(strain("4545", 50)).toBe(0);
  });

  it("other finger on the same key: where a key is struck again, at once or after one note", () => {
    const found = (keys: number[], digits: string) => findings(studyOfKeys(keys), digits, "other-finger").length;
    expect(found([60, 60], "12")).toBe(1);
    expect(found([60, 64, 60], "132")).toBe(1);
    expect(found([60, 64, 60], "131")).toBe(0);
  });

  it("other finger on the same key: drawn towards the thumb it costs less than away from it, in either hand", () => {
    const strain = (digits: string, side: "right" | "left" = "right") =>
      findings(studyOfKeys([60, 60], side), digits, "other-finger")[0]!.found.strain;
    expect(strain("32")).toBeLessThan(strain("23"));
    expect(strain("32", "left")).toBeCloseTo(strain("32"), 9);
  });

  it("other finger on the same key: with a note between, the hand is not drawn over the key, and either finger costs the same", () => {
    const past = (digits: string) =>
      findings(studyOfKeys([60, 62, 60]), digits, "other-finger").reduce((sum, { found }) => sum + found.strain, 0);
    expect(past("143")).toBeGreaterThan(0);
    expect(past("143")).toBeCloseTo(past("231"), 9);
  });

  it("other finger on the same key: not where the hand leapt away in between", () => {
    const found = (keys: number[], digits: string) => findings(studyOfKeys(keys), digits, "other-finger");
    expect(found([60, 64, 60], "132")).toHaveLength(1);
    expect(found([60, 96, 60], "152")).toEqual([]);
  });

  it("other finger on the same key: from chord to chord only on a key at the same end of both, or where the chord returns", () => {
    const found = (chords: number[][], digits: string) =>
      findings(studyOfKeys(chords), digits, "other-finger").map(({ found }) => found.words);
    const [first, bassStays, topStays, innerStays] = [
      [60, 64, 67],
      [60, 65, 69],
      [59, 65, 67],
      [55, 60, 64],
    ] as const;
    expect(found([[...first], [...bassStays]], "135135")).toEqual([]);
    expect(found([[...first], [...bassStays]], "124235")).toEqual(["1 and 2 in turn on C"]);
    expect(found([[...first], [...topStays]], "135134")).toEqual(["4 and 5 in turn on G"]);
    expect(found([[...first], [...innerStays]], "135135")).toEqual([]);
    const returning = (digits: string) => found([[...first], [...bassStays], [...first]], digits);
    expect(returning("135135135")).toEqual([]);
    expect(returning("124135135")).toEqual(["2 and 3 in turn on E", "4 and 5 in turn on G"]);
  });

  it("thumb pass: twice under the third finger is less than once under the little one, for any hand", () => {
    for (const span of [170, 205, 230]) {
      const study = studyOfKeys([64, 65], "right", {}, span);
      const strain = (digits: string): number => judge(study, fingered(study, digits)).strain;
      expect(strain("51")).toBeGreaterThan(2 * strain("31"));
    }
  });

  it("thumb pass: drawn over a key it costs no more than being carried, the less so the slower the strokes", () => {
    const strain = (tempo: number, digits: string) =>
      findings(studyOfKeys([69, 69, 67], "right", { tempo }), digits, "thumb-pass").at(-1)!.found.strain;
    expect(strain(100, "312")).toBeLessThan(strain(100, "112") / 2);
    expect(strain(50, "312")).toBeCloseTo(strain(50, "112"), 9);
    expect(strain(66, "312")).toBeGreaterThan(strain(72, "312"));
  });

  it("crowding: fingers drawn together over a key are at the next key without squeezing", () => {
    const squeezed = (keys: number[], digits: string) =>
      findings(studyOfKeys(keys), digits, "crowding").reduce((sum, { found }) => sum + found.strain, 0);
    expect(squeezed([60, 60, 60, 62], "3213")).toBeLessThan(squeezed([64, 62, 60, 62], "3213"));
  });

  it("pass for one note: at an end, and there and back", () => {
    const found = (keys: number[], digits: string) =>
      findings(studyOfKeys(keys), digits, "for-one-note").map(({ at }) => at);
    expect(found([64, 65, 67, 69], "3123")).toEqual([1]);
    expect(found([62, 64, 65, 67, 69], "23123")).toEqual([]);
    expect(found([62, 64, 65], "231")).toEqual([2]);
  });

  it("place for two notes: the thumb goes far on past one finger, either way, and not where keys lie close", () => {
    const found = (keys: number[], digits: string, side: "right" | "left" = "right") =>
      findings(studyOfKeys(keys, side), digits, "for-two-notes").map(({ at }) => at);
    expect(found([60, 64, 67, 71], "1212")).toEqual([2]);
    expect(found([71, 67, 64, 60], "2121")).toEqual([3]);
    expect(found([71, 67, 64, 60], "1212", "left")).toEqual([2]);
    expect(found([60, 61, 62, 63, 64], "13131")).toEqual([]);
    expect(found([60, 64, 67, 72], "1231")).toEqual([]);
    expect(found([60, 67, 60, 67], "1515")).toEqual([]);
  });

  it("triad off its fingers: struck, or broken in its place, either hand; not in an arpeggio that goes on", () => {
    const found = (keys: (number | number[])[], digits: string, side: "right" | "left" = "right") =>
      findings(studyOfKeys(keys, side), digits, "off-triad").reduce((sum, f) => sum + f.found.strain, 0);
    expect(found([[61, 65, 68]], "135")).toBe(0);
    expect(found([[61, 65, 68]], "125")).toBeGreaterThan(0);
    const rocking = [46, 53, 50, 53, 46, 53, 50, 53];
    expect(found(rocking, "51315131", "left")).toBe(0);
    expect(found(rocking, "41214121", "left")).toBeGreaterThan(found([[46, 50, 53]], "421", "left"));
    expect(found([60, 64, 67, 72, 76, 79, 84], "1231235")).toBe(0);
  });

  it("fingers off their places: a chord whose inner fingers lie between the outer ones as at rest has none, in any hand", () => {
    const strain = (digits: string, span?: number) =>
      findings(studyOfKeys([[60, 64, 67]], "right", {}, span), digits, "unlike-rest").reduce(
        (sum, f) => sum + f.found.strain,
        0,
      );
    for (const span of [175, 205, 230]) {
      expect(strain("135", span)).toBeLessThan(strain("125", span));
    }
    expect(strain("135", 205)).toBeLessThan(0.5);
    expect(findings(studyOfKeys([[60, 67]]), "15", "unlike-rest")).toEqual([]);
  });

  it("fingers off their places: counts for less and less, without a jump, as the outer fingers open beyond relaxed", () => {
    const spans = Array.from({ length: 241 }, (_, i) => 170 + i / 4);
    const strains = spans.map((span) =>
      findings(studyOfKeys([[60, 64, 69]], "right", {}, span), "124", "unlike-rest").reduce(
        (sum, f) => sum + f.found.strain,
        0,
      ),
    );
    expect(Math.min(...strains)).toBe(0);
    expect(Math.max(...strains)).toBeGreaterThan(1);
    for (const [i, strain] of strains.slice(1).entries()) expect(Math.abs(strain - strains[i]!)).toBeLessThan(0.2);
  });

  it("spread unlike the hand at rest: least for fingers that fall on the keys, in any hand, and nothing wide open", () => {
    const strain = (keys: number[], digits: string, span: number, side: "right" | "left" = "right") =>
      findings(studyOfKeys([keys], side, {}, span), digits, "spread").reduce((sum, f) => sum + f.found.strain, 0);
    for (const span of [175, 205, 235]) {
      expect(strain([60, 64, 67], "135", span)).toBeLessThan(strain([60, 64, 67], "124", span));
      if (span > 200) expect(strain([60, 64, 67], "124", span)).toBeLessThan(strain([60, 64, 67], "123", span));
      expect(strain([60, 62, 64], "123", span)).toBeLessThan(strain([60, 62, 64], "135", span));
      expect(strain([60, 64, 67], "421", span, "left")).toBeCloseTo(strain([60, 64, 67], "124", span), 9);
    }
    expect(strain([60, 67, 72], "125", 185)).toBe(0);
    const words = (digits: string) => findings(studyOfKeys([[60, 64, 67]]), digits, "spread")[0]!.found.words;
    expect(words("123")).toMatch(/^1 and 3 lie \d+ mm farther apart than at rest$/);
  });

  it("wide step by near fingers: a sixth costs the less the farther out its fingers rest, in any hand; a third nothing", () => {
    const strain = (keys: number[], digits: string, span = 205, side: "right" | "left" = "right") =>
      findings(studyOfKeys(keys, side, {}, span), digits, "wide-step").reduce((sum, f) => sum + f.found.strain, 0);
    for (const span of [180, 205, 230]) {
      const [near, middle, far] = ["13", "14", "15"].map((digits) => strain([60, 69], digits, span)) as [
        number,
        number,
        number,
      ];
      expect(near).toBeGreaterThan(middle);
      expect(middle).toBeGreaterThan(far);
      expect(strain([69, 60], "13", span, "left")).toBeCloseTo(near, 9);
    }
    expect(strain([60, 64], "12")).toBe(0);
    expect(strain([60, 69], "11")).toBe(0);
    const together = (digits: string) => findings(studyOfKeys([[60, 69]]), digits, "wide-step")[0]!.found.strain;
    expect(together("13")).toBeCloseTo(strain([60, 69], "13"), 9);
    expect(findings(studyOfKeys([[60, 64]]), "12", "wide-step")).toEqual([]);
  });

  it("other finger on the same key: of the fingers, and not of the arm that carries a chord on", () => {
    const count = (keys: (number | number[])[], digits: string) =>
      findings(studyOfKeys(keys), digits, "other-finger").length;
    expect(count([60, 64, 60], "132")).toBe(1);
    expect(
      count(
        [
          [60, 64, 67],
          [62, 65, 69],
          [64, 67, 71],
        ],
        "135135135",
      ),
    ).toBe(0);
    expect(
      count(
        [
          [60, 64, 67],
          [60, 64, 67],
        ],
        "135124",
      ),
    ).toBe(2);
  });

  it("in and out: speaks when the hand must travel further than fingers curl", () => {
    expect(findings(studyOfKeys([60, 62]), "12", "in-out")).toEqual([]);
    expect(findings(studyOfKeys([66, 67]), "15", "in-out")).toHaveLength(1);
  });

  it("rotation: speaks of fast rocking only", () => {
    const rocking = (tempo: number) => findings(studyOfKeys([60, 72, 60, 72], "right", { tempo }), "1515", "rotation");
    expect(rocking(60)).toEqual([]);
    expect(rocking(120)[0]!.found.amount).toBeCloseTo(4, 6);
  });

  it("opening and pass: count in full only while the finger is on its key", () => {
    const total = (manner: Partial<Manner>, cause: string, digits: string, keys = [60, 72]) =>
      findings(studyOfKeys(keys, "right", manner), digits, cause).reduce((sum, f) => sum + f.found.strain, 0);
    expect(total({ tempo: 30 }, "opening", "15")).toBeGreaterThan(0);
    const share = (cause: string, digits: string, keys?: number[]) =>
      total({ tempo: 30, touch: "detached" }, cause, digits, keys) / total({ tempo: 30 }, cause, digits, keys);
    // Fingers keep their order even where they are free.
    expect(share("opening", "15")).toBeCloseTo(MOTION.orderKept, 6);
    expect(share("thumb-pass", "31", [64, 65])).toBeCloseTo(MOTION.orderKept, 6);
  });

  it("opening and crowding grow smoothly with speed", () => {
    const strain = (tempo: number, cause: string, keys: number[]) =>
      findings(studyOfKeys(keys, "right", { tempo }), "15", cause)[0]!.found.strain;
    expect(strain(160, "opening", [60, 72])).toBeGreaterThan(strain(60, "opening", [60, 72]));
    expect(strain(160, "crowding", [60, 62])).toBeGreaterThan(strain(120, "crowding", [60, 62]));
  });

  it("neighbour key: a stretch among the black keys, and idle fingers inside a wide chord", () => {
    expect(findings(studyOfKeys([63, 67]), "23", "neighbour")[0]!.found.words).toMatch(/may catch the key beside$/);
    expect(findings(studyOfKeys([64, 67]), "23", "neighbour")).toEqual([]);
    const chord = (span: number) =>
      findings(studyOfKeys([[61, 73]], "right", {}, span), "15", "neighbour")[0]?.found.strain ?? 0;
    expect(chord(185)).toBeGreaterThan(chord(205));
  });
});
