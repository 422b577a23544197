import { FINGERS, type Finger } from "./finger";
import { handOfRulerSpan, limitsOf } from "./hand";
import { strainOfClosing, strainOfOpening, type Limits } from "./limits";
import { poseOf, type Point } from "./pose";

const pairs = FINGERS.flatMap((a) => FINGERS.filter((b) => b > a).map((b) => [a, b] as const));

describe("a hand", () => {
  it("opens at the keys to 18 mm less than on a ruler", () => {
    const hand = handOfRulerSpan("right", 205);
    expect(hand.keySpan).toBe(187);
    expect(limitsOf(hand, 1, 5).widestPractical).toBeCloseTo(187, 6);
  });

  it.each([150, 185, 205, 230])("has limits that never turn back, at %d mm", (span) => {
    for (const [a, b] of pairs) {
      const l = limitsOf(handOfRulerSpan("left", span), a, b);
      const order = [
        l.leastPractical,
        l.leastComfortable,
        l.leastRelaxed,
        l.widestRelaxed,
        l.widestComfortable,
        l.widestPractical,
      ];
      order.slice(1).forEach((value, i) => expect(value).toBeGreaterThanOrEqual(order[i]!));
      expect(l.widestComfortable - l.widestRelaxed).toBeGreaterThanOrEqual(5);
      expect(l.widestPractical - l.widestComfortable).toBeGreaterThanOrEqual(5);
    }
  });

  it("scales pair by pair with the span", () => {
    const [small, large] = [handOfRulerSpan("right", 180), handOfRulerSpan("right", 230)];
    expect(limitsOf(large, 2, 5).widestPractical / limitsOf(small, 2, 5).widestPractical).toBeCloseTo(212 / 162, 6);
  });

  it.each([[100], [300], [NaN]])("refuses a span of %d mm with the reason", (span) => {
    expect(() => handOfRulerSpan("right", span)).toThrow("outside what a hand can be");
  });
});

describe("strain of an opening", () => {
  const limits: Limits = {
    leastPractical: -20,
    leastComfortable: -10,
    leastRelaxed: 10,
    widestRelaxed: 50,
    widestComfortable: 80,
    widestPractical: 100,
  };

  it("is 0 at relaxed, 50 at comfortable and 100 at the widest, and rises without a step", () => {
    expect([50, 65, 80, 90, 100].map((mm) => strainOfOpening(mm, limits))).toEqual([0, 25, 50, 75, 100]);
    expect([10, 0, -10, -20].map((mm) => strainOfClosing(mm, limits))).toEqual([0, 25, 50, 100]);
    expect(strainOfOpening(110, limits)).toBeGreaterThan(100);
  });
});

describe("a pose", () => {
  const contacts = new Map<Finger, Point>([
    [1, { x: 500, y: 25 }],
    [4, { x: 570, y: 65 }],
  ]);

  it("has the playing tips exactly on their contacts and the others between", () => {
    const pose = poseOf(handOfRulerSpan("right", 195), contacts)!;
    expect(pose.fingers[0]!.tip).toEqual({ x: 500, y: 25 });
    expect(pose.fingers[3]!.tip).toEqual({ x: 570, y: 65 });
    expect(pose.fingers.map((f) => f.playing)).toEqual([true, false, false, true, false]);
    const xs = pose.fingers.map((f) => f.tip.x);
    xs.slice(1).forEach((x, i) => expect(x).toBeGreaterThan(xs[i]!));
  });

  it("is mirrored in the other hand", () => {
    const right = poseOf(handOfRulerSpan("right", 195), contacts)!;
    const left = poseOf(
      handOfRulerSpan("left", 195),
      new Map([...contacts].map(([f, p]) => [f, { x: -p.x, y: p.y }])),
    )!;
    right.fingers.forEach((f, i) => expect(left.fingers[i]!.tip.x).toBeCloseTo(-f.tip.x, 9));
    expect(left.wrist.x).toBeCloseTo(-right.wrist.x, 9);
  });

  it("is none without a contact", () => {
    expect(poseOf(handOfRulerSpan("right", 195), new Map())).toBeNull();
  });
});
