import { note, passage, randomPassage } from "../../../../tests/support/passages";
import { seeded } from "../../../../tests/support/seeded";
import { fingered, studyOfKeys, studyOn } from "../../../../tests/support/studies";
import { framesOf } from "../../fingering/cost/price";
import { carryTime } from "../../fingering/cost/fitts";
import { digitsOf } from "../../fingering/search/terms";
import { bestFingerings, tasksOf, type Study } from "../../fingering/study/study";
import type { Fingering } from "../../fingering/study/fingering";
import { closingOf, releasesOf, tempoWithoutWindow } from "./release";
import { rockingsOf } from "./turn";

function framed(study: Study, fingering: Fingering) {
  const [task] = tasksOf(study);
  return { task: task!, frames: framesOf(task!, digitsOf(task!.line, fingering)) };
}

const releases = (study: Study, digits: string) => {
  const { task, frames } = framed(study, fingered(study, digits));
  return releasesOf(task, frames);
};

describe("letting go", () => {
  it("takes the time at every join apart: window + travel - short is the time there is", () => {
    const random = seeded(91);
    let seen = 0;
    for (let trial = 0; trial < 7; trial++) {
      for (const tempo of [50, 120, 300]) {
        const study = studyOn(randomPassage(random, 10, random.pick(["right", "left"])), { tempo });
        const { task, frames } = framed(study, bestFingerings(study, {}, 1)[0]!);
        for (const { time, travel, window, short } of releasesOf(task, frames)) {
          seen++;
          expect(window + travel - short).toBeCloseTo(time, 6);
          expect(Math.min(window, short)).toBe(0);
        }
      }
    }
    expect(seen).toBeGreaterThan(100);
  });

  it("of octaves leapt in sixteenths at 60 leaves 250 ms less the way of a fourth", () => {
    // Octaves on C and on F: five semitones, three white keys of 23.5 mm, carried in the 250 ms from stroke to stroke.
    const study = studyOfKeys(
      [
        [60, 72],
        [65, 77],
      ],
      "right",
      { tempo: 60 },
    );
    const [release] = releases(study, "1515");
    expect(release!.time).toBe(250);
    expect(release!.mm).toBeCloseTo(3 * 23.5, 0);
    expect(release!.travel).toBeCloseTo(carryTime(release!.mm, 23.5), 6);
    expect(release!.window).toBeCloseTo(250 - release!.travel, 6);
    expect(release!.isOpen).toBe(true);
  });

  it("leaves a detached note when it has sounded, and pivots about one that is held", () => {
    const detached = releases(studyOfKeys([60, 72], "right", { tempo: 60, touch: "detached" }), "15");
    expect(detached[0]!.time).toBe(125);
    const held = studyOn(passage([note("h", 60, "0", "2"), note("a", 67, "0", "1"), note("b", 69, "1", "1")]), {
      tempo: 60,
    });
    expect(releases(held, "135")[0]!.time).toBe(1000);
  });

  it("finds the share of time open beyond comfort, and the longest stretch without a window", () => {
    const closed = releases(studyOfKeys([60, 62, 64, 65, 67], "right", { tempo: 60 }), "12345");
    expect(closingOf(closed, 60)).toEqual({ openShare: 0, longestWithout: null });
    const open = releases(
      studyOfKeys(
        [
          [60, 72],
          [84, 96],
          [60, 72],
          [84, 96],
        ],
        "right",
        { tempo: 400 },
      ),
      "15151515",
    );
    const { openShare, longestWithout } = closingOf(open, 60);
    expect(openShare).toBe(1);
    expect(longestWithout!.ms).toBeCloseTo(3 * open[0]!.time, 6);
    expect(longestWithout!.from).toBe(open[0]!.from[0]);
  });

  it("knows the tempo above which a window is gone", () => {
    const keys = [
      [60, 72],
      [67, 79],
    ];
    const at = (tempo: number) => releases(studyOfKeys(keys, "right", { tempo }), "1515")[0]!;
    const gone = tempoWithoutWindow(at(60), 60, 60);
    expect(at(gone * 0.99).window).toBeGreaterThan(60);
    expect(at(gone * 1.01).window).toBeLessThan(60);
    expect(tempoWithoutWindow({ ...at(60), travel: 0 }, 60, 0)).toBe(Infinity);
  });
});

describe("the forearm's turn", () => {
  const rockings = (study: Study, digits: string) => rockingsOf(framed(study, fingered(study, digits)).frames);

  it("rocks four times a second between 1 and 5 in sixteenths at a quarter note of 120", () => {
    const [found] = rockings(studyOfKeys([60, 67, 60, 67, 60, 67], "right", { tempo: 120 }), "151515");
    expect(found).toMatchObject({ rate: 4, reach: 4, grade: "fast" });
    expect(found!.notes).toHaveLength(6);
  });

  it("is easy when slow and fails when fast", () => {
    const grade = (tempo: number) => rockings(studyOfKeys([60, 64, 60, 64], "right", { tempo }), "1313")[0]!.grade;
    expect([60, 120, 240].map(grade)).toEqual(["easy", "fast", "fails"]);
  });

  it("is not found where fingers go on one way, and parts figures that do", () => {
    expect(rockings(studyOfKeys([60, 62, 64, 65, 67]), "12345")).toEqual([]);
    const parted = rockings(studyOfKeys([60, 67, 60, 67, 69, 71, 60, 67, 60, 67]), "1513452525");
    for (const { notes } of parted) expect(notes.length).toBeGreaterThanOrEqual(4);
  });

  it("is the same for the mirrored hand", () => {
    const keys = [60, 67, 62, 69, 64, 71];
    const left = keys.map((k) => 124 - k);
    expect(rockings(studyOfKeys(left, "left"), "151515").map((r) => [r.rate, r.reach])).toEqual(
      rockings(studyOfKeys(keys, "right"), "151515").map((r) => [r.rate, r.reach]),
    );
  });
});
