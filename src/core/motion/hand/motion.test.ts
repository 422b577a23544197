import { note, passage, randomPassage } from "../../../../tests/support/passages";
import { seeded } from "../../../../tests/support/seeded";
import { fingered, studyOfKeys, studyOn } from "../../../../tests/support/studies";
import { framesOf } from "../../fingering/cost/price";
import { carryTime } from "../../fingering/cost/fitts";
import { digitsOf } from "../../fingering/search/terms";
import { rotationOf } from "../../hand/hand";
import { bestFingerings, tasksOf, type Study } from "../../fingering/study/study";
import type { Fingering } from "../../fingering/study/fingering";
import { closingOf } from "./closing";
import { releasesOf, tempoWithoutWindow } from "./release";
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
  it("takes the time at every join apart: what the way does not take is a window, but for what is held open", () => {
    const random = seeded(91);
    let seen = 0;
    for (let trial = 0; trial < 7; trial++) {
      for (const tempo of [50, 120, 300]) {
        const study = studyOn(randomPassage(random, 10, random.pick(["right", "left"])), { tempo });
        const { task, frames } = framed(study, bestFingerings(study, {}, 1)[0]!);
        for (const [i, { time, travel, window, short }] of releasesOf(task, frames).entries()) {
          seen++;
          expect(short).toBeCloseTo(Math.max(0, travel - time), 6);
          const left = Math.max(0, time - travel);
          if (frames[i]!.struck.length + frames[i]!.held.length > 1) expect(window).toBeLessThanOrEqual(left + 1e-9);
          else expect(window).toBeCloseTo(left, 6);
        }
      }
    }
    expect(seen).toBeGreaterThan(100);
  });

  it("is never harder when the same fingers go slower: no window shrinks, none is shorter of time, none rocks faster", () => {
    const random = seeded(37);
    let [windows, rocked] = [0, 0];
    for (let trial = 0; trial < 48; trial++) {
      const music = randomPassage(random, 16, random.pick(["right", "left"]));
      const [fast, slow] = [random.whole(60, 240), random.whole(20, 60)].map((tempo) => studyOn(music, { tempo }));
      const fingering = bestFingerings(fast!, {}, 1)[0]!;
      const [quick, easy] = [fast!, slow!].map((study) => framed(study, fingering));
      const of = ({ task, frames }: ReturnType<typeof framed>) => releasesOf(task, frames);
      const [before, after] = [of(quick!), of(easy!)];
      const holding = ({ frames }: ReturnType<typeof framed>, i: number) =>
        [frames[i]!, frames[i + 1]!].map(({ held }) => held.map(({ stroke }) => stroke.index));
      after.forEach((release, i) => {
        // A note that only a slower tempo lets one hold to its end takes its window with it.
        if (JSON.stringify(holding(quick!, i)) !== JSON.stringify(holding(easy!, i))) return;
        windows++;
        expect(release.window).toBeGreaterThanOrEqual(before[i]!.window - 1e-9);
        expect(release.short).toBeLessThanOrEqual(before[i]!.short + 1e-9);
      });
      const hurried = rockingsOf(quick!.task.hand, quick!.frames);
      for (const { notes, rate } of rockingsOf(easy!.task.hand, easy!.frames)) {
        const same = hurried.find((each) => each.notes.some((id) => notes.includes(id)));
        if (!same) continue;
        rocked++;
        expect(rate).toBeLessThanOrEqual(same.rate + 1e-9);
      }
    }
    expect(windows).toBeGreaterThan(200);
    expect(rocked).toBeGreaterThan(1);
  });

  it("of octaves in sixteenths at 60 leaves 250 ms less the way of a fourth, half of it held where they are detached", () => {
    // Octaves on C and on F: five semitones, three white keys of 23.5 mm, carried in the 250 ms from stroke to stroke.
    const octaves = [
      [60, 72],
      [65, 77],
    ];
    const [bound] = releases(studyOfKeys(octaves, "right", { tempo: 60 }), "1515");
    expect(bound!.time).toBe(250);
    expect(bound!.mm).toBeCloseTo(3 * 23.5, 0);
    expect(bound!.travel).toBeCloseTo(carryTime(bound!.mm, 23.5), 6);
    expect(bound!.isOpen).toBe(true);
    // Holding is holding: bound octaves stay down until the next.
    expect(bound!.window).toBe(0);
    const [detached] = releases(studyOfKeys(octaves, "right", { tempo: 60, touch: "detached" }), "1515");
    expect(detached!.window).toBeCloseTo(125 - detached!.travel, 6);
  });

  it("leaves a detached note when it has sounded, and pivots about one that is held", () => {
    const detached = releases(studyOfKeys([60, 72], "right", { tempo: 60, touch: "detached" }), "15");
    expect(detached[0]!.time).toBe(125);
    const held = studyOn(passage([note("h", 60, "0", "2"), note("a", 67, "0", "1"), note("b", 69, "1", "1")]), {
      tempo: 60,
    });
    expect(releases(held, "135")[0]!.time).toBe(1000);
  });

  it("finds the share of time open beyond comfort, and the stretches without a window, the last chord included", () => {
    const closing = (study: Study, digits: string) => {
      const { task, frames } = framed(study, fingered(study, digits));
      return closingOf(task, frames, releasesOf(task, frames), 60);
    };
    expect(closing(studyOfKeys([60, 62, 64, 65, 67], "right", { tempo: 60 }), "12345")).toEqual({
      openShare: 0,
      kept: [],
    });
    const octaves = Array.from({ length: 4 }, () => [60, 72]);
    const { openShare, kept } = closing(studyOfKeys(octaves, "right", { tempo: 60 }), "15151515");
    expect(openShare).toBe(1);
    expect(kept).toHaveLength(1);
    expect(kept[0]!.ms).toBeCloseTo(1000, 6);
    const detached = closing(studyOfKeys(octaves, "right", { tempo: 60, touch: "detached" }), "15151515");
    expect(detached.openShare).toBeCloseTo(4 / 7, 1);
    expect(Math.max(...detached.kept.map((k) => k.ms))).toBeCloseTo(125, 6);
    // A hand that is wider is open by less, and a louder one by more.
    const held = (span: number, loudness: number) =>
      closing(studyOfKeys([[60, 72]], "right", { tempo: 60, loudness }, span), "15").kept[0]?.weighed ?? 0;
    expect(held(190, 0.5)).toBeGreaterThan(held(205, 0.5));
    expect(held(205, 0.9)).toBeGreaterThan(held(205, 0.5));
  });

  it("knows the tempo above which a window is gone", () => {
    const keys = [
      [60, 72],
      [67, 79],
    ];
    const at = (tempo: number) => releases(studyOfKeys(keys, "right", { tempo, touch: "detached" }), "1515")[0]!;
    const gone = tempoWithoutWindow(at(60), 60, 60);
    expect(at(gone * 0.99).window).toBeGreaterThan(60);
    expect(at(gone * 1.01).window).toBeLessThan(60);
    expect(tempoWithoutWindow({ ...at(60), travel: 0 }, 60, 0)).toBe(Infinity);
  });
});

describe("the forearm's turn", () => {
  const rockings = (study: Study, digits: string) => {
    const { task, frames } = framed(study, fingered(study, digits));
    return rockingsOf(task.hand, frames);
  };

  it("rocks four times a second between 1 and 5 in sixteenths at a quarter note of 120", () => {
    const [found] = rockings(studyOfKeys([60, 67, 60, 67, 60, 67], "right", { tempo: 120 }), "151515");
    expect(found).toMatchObject({ rate: 4, reach: 4, grade: "fast" });
    expect(found!.notes).toHaveLength(6);
  });

  it("is easy when slow and fails when fast", () => {
    const grade = (tempo: number) =>
      rockings(studyOfKeys([60, 64, 60, 64, 60, 64], "right", { tempo }), "131313")[0]!.grade;
    expect([60, 120, 240].map(grade)).toEqual(["easy", "fast", "fails"]);
  });

  it("is judged by what this player turns with ease", () => {
    const study = studyOfKeys([60, 67, 60, 67, 60, 67], "right", { tempo: 75 });
    const { task, frames } = framed(study, fingered(study, "151515"));
    const grade = (ease: number) => rockingsOf({ ...task.hand, rotation: rotationOf(ease) }, frames)[0]!.grade;
    expect([1, 2, 3].map(grade)).toEqual(["fails", "fast", "easy"]);
  });

  it("is not found where fingers go on one way, and parts figures that do", () => {
    expect(rockings(studyOfKeys([60, 62, 64, 65, 67]), "12345")).toEqual([]);
    const parted = rockings(studyOfKeys([60, 67, 60, 67, 60, 67, 69, 71, 60, 67, 60, 67]), "151515342525");
    expect(parted.map(({ notes }) => notes.length)).toEqual([6]);
    // Neighbours are the fingers' own.
    expect(rockings(studyOfKeys([60, 62, 60, 62, 60, 62, 60, 62]), "23232323")).toEqual([]);
  });

  it("is the same for the mirrored hand", () => {
    const keys = [60, 67, 62, 69, 64, 71];
    const left = keys.map((k) => 124 - k);
    expect(rockings(studyOfKeys(left, "left"), "151515").map((r) => [r.rate, r.reach])).toEqual(
      rockings(studyOfKeys(keys, "right"), "151515").map((r) => [r.rate, r.reach]),
    );
  });
});
