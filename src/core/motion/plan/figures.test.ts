import { note, passage, randomPassage } from "../../../../tests/support/passages";
import { seeded } from "../../../../tests/support/seeded";
import { fingered, studyOfKeys, studyOn } from "../../../../tests/support/studies";
import { bestFingerings, type Study } from "../../fingering/study/study";
import { bodyMiddle, elbowRoom } from "../path/body";
import { offCentre } from "../path/centre";
import { circleOf, longestFrozen } from "../path/height";
import type { HandPlan } from "./hand-plan";
import { planOf } from "./plan";
import { PLAN } from "../../physics";
import { tiltOf } from "../hand/turn";
import { touchChosen } from "../hand/touch";
import { WARNINGS } from "../warnings";

const handOf = (study: Study, digits: string): HandPlan => planOf(study, fingered(study, digits)).hands[0]!;

describe("centre", () => {
  it("lies over the middle of its notes where there is time, and says how far it is off where there is not", () => {
    const slow = handOf(studyOfKeys([60, 72, 60, 72], "right", { tempo: 30 }), "1515");
    for (const frame of slow.frames) expect(Math.abs(offCentre(frame))).toBeLessThan(8);
    expect(slow.sideways).toEqual([]);
  });
});

describe("the forearm's turn", () => {
  it("brings the one tip down and lifts the other over its key, and is smaller the farther apart and the nearer they stay", () => {
    for (const [mm, lift] of [
      [164.5, 5],
      [47, 5],
      [47, 1],
    ] as const) {
      const angle = (tiltOf(mm, lift) * Math.PI) / 180;
      // Two tips on a rod that turns about its middle: how much higher the one stands than the other.
      const tips = [-mm / 2, mm / 2].map((x) => x * Math.sin(angle));
      expect(tips[1]! - tips[0]!).toBeCloseTo(PLAN.keyTravel + lift, 9);
    }
    expect(tiltOf(47)).toBeGreaterThan(tiltOf(164.5));
    expect(tiltOf(164.5, 1)).toBeLessThan(tiltOf(164.5, 5));
    expect(tiltOf(3)).toBe(90);
  });

  it("goes to and fro with the fingers that play, and lies between in the midst of a run", () => {
    const rocking = handOf(studyOfKeys([60, 67, 60, 67, 60, 67], "right", { tempo: 60 }), "151515");
    rocking.frames.forEach((f, i) => expect(Math.sign(f.supination)).toBe(i % 2 === 0 ? -1 : 1));
    const run = handOf(studyOfKeys([60, 62, 64, 65, 67], "right", { tempo: 60 }), "12345");
    const supinations = run.frames.map((f) => f.supination);
    expect([...supinations].sort((a, b) => a - b)).toEqual(supinations);
    expect(run.turns).toEqual([
      { kind: "single", towards: "little finger", notes: run.frames.flatMap((f) => f.notes) },
    ]);
  });

  it("names a double turn where a run turns back, and two demands at once where the thumb passes at speed", () => {
    const back = handOf(studyOfKeys([60, 62, 64, 65, 64, 62, 60], "right", { tempo: 60 }), "1234321");
    expect(back.turns.map((t) => t.kind)).toEqual(["single", "double", "single"]);
    const keys = [60, 62, 64, 65, 67];
    const pass = (tempo: number) => handOf(studyOfKeys(keys, "right", { tempo }), "12312").clashes;
    expect(pass(60)).toEqual([]);
    // From 3 to 1 is 8 degrees to the thumb, and as much the other way for the way along the keys.
    expect(pass(180)).toMatchObject([{ finger: "thumb", degrees: 16, ms: expect.closeTo(1000 / 12, 6) as number }]);
  });
});

describe("height", () => {
  it("is lower for the thumb than for the little finger", () => {
    const { frames } = handOf(studyOfKeys([60, 67, 60, 67], "right", { tempo: 60 }), "1515");
    expect(frames[0]!.height).toBeLessThan(frames[1]!.height);
    expect(frames[2]!.height).toBeLessThan(frames[3]!.height);
  });

  it("circles over or under, by the side on which it comes back", () => {
    const square = (heights: readonly number[]) =>
      circleOf(
        [0, 100, 100, 0].map((x, i) => ({ x, height: heights[i]! })),
        0,
        3,
      );
    expect(square([0, 0, 10, 10])).toMatchObject({ way: "under", mm: 10 });
    expect(square([10, 10, 0, 0])).toMatchObject({ way: "over", mm: 10 });
    expect(square([5, 5, 5, 5])).toBeNull();
  });

  it("finds the longest stretch at one height", () => {
    const at = (ms: number, height: number) => ({ ms, height });
    expect(longestFrozen([at(0, 0), at(100, 1.9), at(200, 1), at(300, 9), at(400, 9)])).toEqual({
      ms: 200,
      from: 0,
      to: 2,
    });
    expect(longestFrozen([at(0, 0)])).toBeNull();
  });
});

describe("elbow and trunk", () => {
  it("wants room beside the body, and finds the octave at which there is some", () => {
    const low = handOf(studyOfKeys([48, 50, 52, 53], "right", { tempo: 60 }), "1234");
    const [worst] = [low.body.narrowest!];
    expect(worst.past).toBeGreaterThan(0);
    const { octavesToFree } = low.body;
    const up = handOf(
      studyOfKeys(
        [48, 50, 52, 53].map((k) => k + 12 * octavesToFree!),
        "right",
        { tempo: 60 },
      ),
      "1234",
    );
    expect(up.body.octavesToFree).toBe(0);
    const less = handOf(
      studyOfKeys(
        [48, 50, 52, 53].map((k) => k + 12 * (octavesToFree! - 1)),
        "right",
      ),
      "1234",
    );
    expect(less.body.octavesToFree).toBe(1);
    const on = { octaveWidth: 164.5 };
    expect(elbowRoom(bodyMiddle(on) + 50, "right", on)).toBeCloseTo(0, 9);
    expect(elbowRoom(bodyMiddle(on) + 50, "left", on)).toBeCloseTo(-100, 9);
  });

  it("takes the trunk along where the arm does not reach", () => {
    expect(handOf(studyOfKeys([60, 64, 67], "right"), "135").body.trunk).toBeNull();
    expect(handOf(studyOfKeys([60, 64, 67, 108], "right", { tempo: 30 }), "1353").body.trunk!.mm).toBeGreaterThan(0);
  });
});

describe("groups and touch", () => {
  it("begins with the beat in quick notes, and where the hand is set down anew", () => {
    const { impulses } = handOf(studyOfKeys([60, 62, 64, 65, 67, 65, 64, 62], "right", { tempo: 100 }), "12345432");
    expect(impulses.map((g) => [g.from, g.to])).toEqual([
      [0, 3],
      [4, 7],
    ]);
    const leap = handOf(studyOfKeys([60, 62, 84, 86], "right", { tempo: 60 }), "1212");
    expect(leap.impulses.map((g) => g.why)).toContain("the hand is set down anew");
  });

  it("takes loud chords from the arm, light runs from the fingers, and never strikes from the arm above the key", () => {
    const chords = studyOfKeys(
      [
        [60, 64, 67],
        [62, 65, 69],
      ],
      "right",
      { tempo: 40, loudness: 0.9 },
    );
    expect(handOf(chords, "135135").impulses[0]!.touch).toMatchObject({ source: "arm", start: "on-key" });
    const run = handOf(studyOfKeys([60, 62, 64, 65], "right", { tempo: 120 }), "1234");
    expect(run.impulses[0]!.touch).toMatchObject({ source: "fingers", end: "held" });
    const short = handOf(studyOfKeys([60, 62, 64, 65], "right", { tempo: 120, touch: "detached" }), "1234");
    expect(short.impulses[0]!.touch.end).toBe("let-go");
    expect(touchChosen("arm", "above", "held", "mine")).toMatchObject({ start: "on-key" });
  });
});

describe("shape by texture", () => {
  it("is curled in even quick runs, flat on black keys and wide chords, natural else, each with its reason", () => {
    const shapes = (study: Study, digits: string) => handOf(study, digits).frames.map((f) => f.texture);
    const run = shapes(studyOfKeys([60, 62, 64, 65, 67], "right", { tempo: 120 }), "12345");
    expect(run.every((t) => t.shape === "curled" && t.why.includes("even"))).toBe(true);
    const slow = shapes(studyOfKeys([60, 62, 64, 65, 67], "right", { tempo: 50 }), "12345");
    expect(slow.every((t) => t.shape === "natural")).toBe(true);
    const black = shapes(studyOfKeys([61, 63, 66, 68, 70], "right", { tempo: 50 }), "12345");
    expect(black.every((t) => t.shape === "flat" && t.why.includes("black"))).toBe(true);
    const wide = shapes(studyOfKeys([[60, 74]], "right", { tempo: 50 }), "15");
    expect(wide[0]).toMatchObject({ shape: "flat" });
  });
});

describe("letting go, keys beside, both hands", () => {
  it("names the note that is held and draws the hand, in mm", () => {
    const study = studyOn(passage([note("h", 60, "0", "3"), note("a", 74, "1", "1"), note("b", 74, "2", "1")]), {
      tempo: 60,
    });
    const { drags } = handOf(study, "155");
    expect(drags[0]).toMatchObject({ note: "a", held: "h", finger: 1, mayGo: false });
    expect(drags[0]!.mm).toBeGreaterThan(12);
  });

  it("gives clearance in a chord that is wide among black keys, and what would give more", () => {
    const [near] = handOf(studyOfKeys([[61, 67]], "right"), "25").clearances;
    expect(near!.kind).toBe("chord");
    expect(near!.mm).toBeLessThan(6);
    expect(near!.gains[0]!.mm).toBeGreaterThan(0);
    expect(handOf(studyOfKeys([[60, 64]], "right"), "13").clearances).toEqual([]);
  });

  it("finds leaps of both hands that fall together, opposite ones too", () => {
    const one = (id: string, key: number, at: string, staff: number) => note(id, key, at, "1", { staff });
    const notes = [one("r1", 67, "0", 1), one("r2", 91, "1", 1), one("l1", 48, "0", 2), one("l2", 31, "1", 2)];
    const study = studyOn(passage(notes, "both", 2), { tempo: 60 });
    const plan = planOf(study, { r1: 1, r2: 5, l1: 1, l2: 1 } as never);
    expect(plan.together).toMatchObject([{ note: "r2", opposite: true, look: "right", unseen: false }]);
    expect(plan.warnings.some((w) => w.id === "leaps" && w.side === "both")).toBe(true);
  });
});

describe("both hands in front of the body", () => {
  it("is named where both lack room at once, with what they lack together, and nowhere else", () => {
    const plan = (right: number, left: number) => {
      const notes = [note("r", right, "0", "1", { staff: 1 }), note("l", left, "0", "1", { staff: 2 })];
      return planOf(studyOn(passage(notes, "both", 2), { tempo: 60 }), { r: 3, l: 3 } as never);
    };
    const crowded = plan(64, 65);
    expect(crowded.inFront).toMatchObject({ note: "r" });
    expect(crowded.inFront!.mm).toBeGreaterThan(90);
    expect(crowded.warnings.some((w) => w.id === "in-front" && w.side === "both")).toBe(true);
    expect(plan(80, 50).inFront).toBeNull();
    expect(plan(64, 40).inFront).toBeNull();
  });
});

describe("warnings", () => {
  it("each have a place, a figure and something to change, dearest first, and nothing strained has none", () => {
    const random = seeded(77);
    const seen = new Set<string>();
    for (let trial = 0; trial < 14; trial++) {
      const study = studyOn(
        randomPassage(random, 16, random.pick(["right", "left"])),
        { tempo: random.pick([80, 200, 300]) },
        180,
      );
      const { warnings } = planOf(study, bestFingerings(study, {}, 1)[0]!);
      for (const { id, words, change, note: at, cost } of warnings) {
        seen.add(id);
        expect(words).toMatch(/\d/);
        expect(change.length).toBeGreaterThan(5);
        expect(study.passage.notes.some((n) => n.id === at)).toBe(true);
        expect(Number.isFinite(cost)).toBe(true);
      }
      const costs = warnings.map((w) => w.cost);
      expect([...costs].sort((a, b) => b - a)).toEqual(costs);
    }
    expect(seen.size).toBeGreaterThanOrEqual(4);
    expect(new Set(WARNINGS.map((w) => w.id)).size).toBe(WARNINGS.length);
    const easy = studyOfKeys([72, 74, 76, 77, 79], "right", { tempo: 60 });
    expect(planOf(easy, fingered(easy, "12345")).warnings).toEqual([]);
  });

  it("say at which tempo a forearm rocks too fast", () => {
    const at = (tempo: number) => {
      const study = studyOfKeys([72, 79, 72, 79, 72, 79], "right", { tempo });
      return planOf(study, fingered(study, "151515")).warnings.filter((w) => w.id === "rocking");
    };
    expect(at(60)).toEqual([]);
    expect(at(120)[0]).toMatchObject({ amount: 4, unit: "Hz" });
  });
});
