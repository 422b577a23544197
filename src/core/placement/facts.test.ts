import { FINGERS, type Finger } from "../hand/finger";
import { handOfRulerSpan, limitsOf } from "../hand/hand";
import { keyMiddle } from "../keyboard/geometry";
import { FULL_SIZE, instrument, type Instrument } from "../keyboard/instrument";
import { pitch } from "../keyboard/pitch";
import { gradeOf, GRADES } from "./grade";
import type { Hold } from "./placement";
import { solvePlacement } from "./solve";
import { fitsBetween, spotsOn } from "./spots";
import { TILTS } from "./ways";

const holds = (...given: readonly [Finger, number][]): Hold[] =>
  given.map(([finger, key]) => ({ finger, key: pitch(key) }));
const graded = (span: number, given: Hold[], on: Instrument = FULL_SIZE): string =>
  gradeOf(solvePlacement(handOfRulerSpan("right", span), on, given));
const outer = (semitones: number, from = 60): Hold[] => holds([1, from], [5, from + semitones]);

/** Grades of a pair from a key to 1 to 17 semitones above it: r relaxed, w working, s strained, - out of reach. */
function row(span: number, from: number, a: Finger, b: Finger): string {
  const grades = Array.from({ length: 17 }, (_, i) => graded(span, holds([a, from], [b, from + i + 1])));
  return grades.map((grade) => (grade === "out-of-reach" ? "-" : grade[0])).join("");
}

describe("what each pair of fingers holds", () => {
  // From middle C: semitones 2 4 5 7 9 11 12 14 16 17 end on white keys, the others on black ones.
  it.each([
    [185, 1, 2, "rrrrwwwss--------"],
    [185, 1, 3, "wrrrrrwwwss------"],
    [185, 1, 4, "wwwrrrrrwwws-----"],
    [185, 1, 5, "wwwwrrrrrwwss----"],
    [185, 2, 3, "rrww-------------"],
    [185, 2, 4, "wrrrss-----------"],
    [185, 2, 5, "swwrrwwss--------"],
    [185, 3, 4, "rrww-------------"],
    [185, 3, 5, "wrrrwss----------"],
    [185, 4, 5, "rrwws------------"],
    [205, 1, 2, "rrrrrwwwsss------"],
    [205, 1, 3, "wrrrrrrwwwss-----"],
    [205, 1, 4, "wwwrrrrrrwwsss---"],
    [205, 1, 5, "wwwwrrrrrrwwwss--"],
    [205, 2, 3, "rrwws------------"],
    [205, 2, 4, "wrrrwss----------"],
    [205, 2, 5, "swwrrrwwsss------"],
    [205, 3, 4, "rrww-------------"],
    [205, 3, 5, "wrrrwss----------"],
    [205, 4, 5, "rrwws------------"],
    [230, 1, 2, "rrrrrrwwwss------"],
    [230, 1, 3, "wwrrrrrwwwwsss---"],
    [230, 1, 4, "wwwwrrrrrwwwwsss-"],
    [230, 1, 5, "wwwwwwrrrrrwwwss-"],
    [230, 2, 3, "rrrwss-----------"],
    [230, 2, 4, "wwrrrwss---------"],
    [230, 2, 5, "swwwrrrwwss------"],
    [230, 3, 4, "rrrws------------"],
    [230, 3, 5, "wwrrrwss---------"],
    [230, 4, 5, "rrwwss-----------"],
  ] as const)("from a white key on a hand of %d mm, %d and %d", (span, a, b, expected) => {
    expect(row(span, 60, a, b)).toBe(expected);
  });

  // From C sharp: semitones 2 5 7 9 12 14 17 end on black keys, the others on white ones.
  it.each([
    [185, 1, 5, "wwwwrrrrwwwss----"],
    [205, 1, 5, "wwwwwrrrrrwwsss--"],
    [230, 1, 5, "wwwwwrrrrrwwwwss-"],
    [205, 1, 2, "rrrrwwwwss-------"],
    [205, 2, 5, "wwwrrrwwss-------"],
    [205, 3, 4, "rrws-------------"],
  ] as const)("from a black key on a hand of %d mm, %d and %d", (span, a, b, expected) => {
    expect(row(span, 61, a, b)).toBe(expected);
  });

  it("is decided in millimetres: white keys are out of reach just where their facing edges lie too far apart", () => {
    for (const span of [185, 205, 230]) {
      const hand = handOfRulerSpan("right", span);
      for (const [a, b] of FINGERS.flatMap((x) => FINGERS.filter((y) => y > x).map((y) => [x, y] as const))) {
        for (const to of [62, 64, 65, 67, 69, 71, 72, 74, 76, 77]) {
          const facing = keyMiddle(pitch(to), FULL_SIZE) - keyMiddle(pitch(60), FULL_SIZE) - 14.5;
          const far = facing + 29;
          const limits = limitsOf(hand, a, b);
          const leant = a === 1 || b === 5 ? 1.03 : 1;
          const held = facing <= limits.widestPractical * leant && far >= limits.leastPractical;
          expect([span, a, b, to, graded(span, holds([a, 60], [b, to])) !== "out-of-reach"]).toEqual([
            span,
            a,
            b,
            to,
            held,
          ]);
        }
      }
    }
  });

  it("grades an octave, a ninth and a tenth as such hands find them", () => {
    const table = [185, 205, 230].map((span) => [7, 12, 14, 16].map((semitones) => graded(span, outer(semitones))));
    expect(table).toEqual([
      ["relaxed", "strained", "out-of-reach", "out-of-reach"],
      ["relaxed", "working", "strained", "out-of-reach"],
      ["relaxed", "working", "working", "strained"],
    ]);
    expect(new Set(table.flat())).toEqual(new Set(GRADES));
  });
});

describe("where on the key, and how", () => {
  it("an octave is easier from the front edges than far in between the black keys", () => {
    const hand = { ...handOfRulerSpan("right", 195), tipWidths: [13, 13, 13, 13, 13] };
    const [front, deep] = (["head", "between"] as const).map((part) =>
      solvePlacement(hand, FULL_SIZE, outer(12, 62), { parts: [part] }),
    );
    if (front?.kind !== "held" || deep?.kind !== "held") throw new Error("An octave is held at 195 mm.");
    expect(front.strain).toBeLessThan(deep.strain);
  });

  it("facing edges of white keys gain 14.5 mm against middles and twice that against far edges", () => {
    const [low, high] = [spotsOn(pitch(60), 15, FULL_SIZE)[0]!, spotsOn(pitch(72), 15, FULL_SIZE)[0]!];
    const middles = keyMiddle(pitch(72), FULL_SIZE) - keyMiddle(pitch(60), FULL_SIZE);
    expect(middles - (high.left - low.right)).toBeCloseTo(14.5, 6);
    expect(high.right - low.left - (high.left - low.right)).toBeCloseTo(29, 6);
  });

  it("curled is at ease to about a sixth where flat is at ease to an octave", () => {
    const opening = (shape: "curled" | "flat", semitones: number): number => {
      const found = solvePlacement(handOfRulerSpan("right", 205), FULL_SIZE, outer(semitones), { shapes: [shape] });
      return found.kind === "held" ? found.causes.opening : Infinity;
    };
    expect(opening("curled", 9)).toBeLessThan(25);
    expect(opening("curled", 11)).toBeGreaterThan(50);
    expect(opening("curled", 12)).toBeLessThan(Infinity);
    expect(opening("flat", 12)).toBeLessThan(50);
    expect(opening("flat", 14)).toBeGreaterThan(50);
  });

  // An inner finger is raised on a black key between outer ones on white: upright it lifts out of the hand.
  it.each([
    ["C E A flat C", [60, 64, 68, 72]],
    ["D F sharp B D", [62, 66, 71, 74]],
    ["E A flat C sharp E", [64, 68, 73, 76]],
  ])("leaning makes %s easier than upright", (_name, [a, b, c, d]) => {
    const chord = holds([1, a!], [2, b!], [4, c!], [5, d!]);
    const [upright, leaning] = TILTS.map((tilt) =>
      solvePlacement(handOfRulerSpan("right", 195), FULL_SIZE, chord, { tilts: [tilt] }),
    );
    if (upright?.kind !== "held" || leaning?.kind !== "held") throw new Error("The chord is held at 195 mm.");
    expect(leaning.strain).toBeLessThan(upright.strain);
    expect(leaning.wrist.supination).toBeGreaterThan(0);
  });

  it("a black key drags the thumb's hand in", () => {
    const front = (key: number): number => {
      const found = solvePlacement(handOfRulerSpan("right", 205), FULL_SIZE, holds([1, key], [3, key + 4]));
      return found.kind === "held" ? found.wrist.at.y : NaN;
    };
    expect(front(61)).toBeGreaterThan(front(60) + 15);
  });
});

describe("other keyboards and fingertips", () => {
  it.each([
    [152, "a ninth", outer(14)],
    [140, "a tenth", outer(16)],
    [152, "C G D with 1, 2 and 5", holds([1, 60], [2, 67], [5, 74])],
    [140, "C B flat C D with 1, 3, 4 and 5", holds([1, 60], [3, 70], [4, 72], [5, 74])],
  ])("an octave of %d mm turns %s, out of reach at 185 mm, into a held one", (octave, _name, given) => {
    expect(graded(185, given)).toBe("out-of-reach");
    expect(graded(185, given, instrument(octave))).not.toBe("out-of-reach");
  });

  it("a 20 mm tip cannot play G deep in between F sharp and A flat, a 14 mm one can, and at 140 mm neither can", () => {
    const fits = (tip: number, octave: number) => fitsBetween(pitch(66), pitch(68), tip, instrument(octave));
    expect([fits(20, 164.5), fits(14, 164.5), fits(20, 140), fits(14, 140)]).toEqual([false, true, false, false]);
    expect(spotsOn(pitch(67), 20, FULL_SIZE).map((s) => s.part)).toEqual(["head"]);
    expect(spotsOn(pitch(67), 14, FULL_SIZE).map((s) => s.part)).toEqual(["head", "between"]);
  });

  it("says which pair is short, and by how many mm", () => {
    const found = solvePlacement(handOfRulerSpan("right", 185), FULL_SIZE, outer(16));
    if (found.kind !== "out-of-reach") throw new Error("A tenth is out of reach at 185 mm.");
    // The tenth wants 197 mm between the patches at the facing edges; flat and leaning the hand opens to 172.
    expect(found.short!.pair).toEqual([1, 5]);
    expect(found.short!.mm).toBeCloseTo(211.5 - 14.5 - 167 * 1.03, 1);
    expect(found.tried).toEqual({ shape: "flat", tilt: "leaning" });
  });

  it("names the pair that is short by most", () => {
    const found = solvePlacement(handOfRulerSpan("right", 185), FULL_SIZE, holds([1, 60], [3, 64], [5, 74]));
    // 3 and 5 would have to open a seventh, which is farther beyond them than a ninth is beyond 1 and 5.
    expect(found.kind === "out-of-reach" && found.short!.pair).toEqual([3, 5]);
  });
});
