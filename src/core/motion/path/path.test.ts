import { note, passage, randomPassage } from "../../../../tests/support/passages";
import { seeded } from "../../../../tests/support/seeded";
import { shortestWay } from "../../../../tests/support/shortest-way";
import { fingered, studyOfKeys, studyOn } from "../../../../tests/support/studies";
import { framesOf } from "../../fingering/cost/price";
import type { Fingering } from "../../fingering/study/fingering";
import { digitsOf } from "../../fingering/search/terms";
import { bestFingerings, tasksOf, type Study } from "../../fingering/study/study";
import { keyShape } from "../../keyboard/geometry";
import { pitch } from "../../keyboard/pitch";
import { KEYBOARD, PLAN } from "../../physics";
import { compare } from "../../time/beats";
import { impulsesOf } from "../groups/impulses";
import { meeting } from "./clock";
import { coordinatesAt, pathOf, type Path, type PlanFrame } from "./path";
import { sideways } from "./place";
import { valueAt } from "./smooth";

function planned(study: Study, fingering: Fingering): Path {
  const [task] = tasksOf(study);
  const frames = framesOf(task!, digitsOf(task!.line, fingering));
  return pathOf(task!, frames, new Set(impulsesOf(task!, frames).map((g) => g.from)));
}

describe("the path of a hand", () => {
  it("keeps every playing and held finger on its key within the limits of the hand", () => {
    const random = seeded(5);
    let frames = 0;
    let held = 0;
    for (let trial = 0; trial < 40; trial++) {
      const span = random.pick([185, 205, 230]);
      const study = studyOn(
        randomPassage(random, 14, random.pick(["right", "left"])),
        { tempo: random.pick([50, 100, 200]) },
        span,
      );
      const path = planned(study, bestFingerings(study, {}, 1)[0]!);
      const [task] = tasksOf(study);
      path.frames.forEach((frame, i) => {
        if (frame.tips.length === 0) return;
        frames++;
        held += frame.frame.held.length;
        expect(frame.strain).toBeLessThan(Infinity);
        for (const { key, at, part } of frame.tips) {
          const { left, right, black } = keyShape(pitch(key), study.instrument);
          expect(at.x).toBeGreaterThanOrEqual(left - 1e-6);
          expect(at.x).toBeLessThanOrEqual(right + 1e-6);
          expect(part === "top").toBe(black);
          expect(at.y).toBeGreaterThanOrEqual(black ? KEYBOARD.blackStart : 0);
          expect(at.y).toBeLessThanOrEqual(KEYBOARD.whiteLength);
        }
        const { least, most } = sideways(task!.hand, path.places[i]!);
        const x = task!.hand.side === "right" ? frame.x : -frame.x;
        expect(x).toBeGreaterThanOrEqual(least - 1e-6);
        expect(x).toBeLessThanOrEqual(most + 1e-6);
        expect(Math.abs(frame.supination)).toBeLessThanOrEqual(PLAN.supinationMost[1]);
        // The last round turns the hand after it has gone in: what room is left is told for the turn it then has.
        for (const coordinate of ["x", "depth"] as const) {
          const room = frame.room[coordinate];
          if (!room) continue;
          expect(frame[coordinate]).toBeGreaterThanOrEqual(room.least - 1e-6);
          expect(frame[coordinate]).toBeLessThanOrEqual(room.most + 1e-6);
        }
      });
    }
    expect(frames).toBeGreaterThan(500);
    expect(held).toBeGreaterThan(50);
  });

  it("is at most a tenth longer than the shortest on which all fingers reach at ease", () => {
    const random = seeded(11);
    for (let trial = 0; trial < 24; trial++) {
      const music = randomPassage(random, random.pick([6, 14]), random.pick(["right", "left"]));
      const study = studyOn(music, { tempo: random.pick([50, 100, 200]) });
      const path = planned(study, bestFingerings(study, {}, 1)[0]!);
      const [hand, { x }] = [tasksOf(study)[0]!.hand, path.ways];
      let gone = 0;
      for (let ms = path.frames[0]!.ms; ms < path.frames.at(-1)!.ms; ms += 5)
        gone += Math.abs(valueAt(x, ms + 5) - valueAt(x, ms));
      const playing = path.places.filter(({ standing }) => standing.length > 0);
      const least = shortestWay(playing.map((place) => meeting(place.within, sideways(hand, place))));
      expect(gone).toBeLessThan(1.1 * least + 1e-6);
    }
  });

  it("is the same within 1 mm inside a passage that is cut, five onsets from where it is: but where the hand may long stay", () => {
    const random = seeded(23);
    let [compared, same] = [0, 0];
    for (let trial = 0; trial < 100; trial++) {
      const whole = randomPassage(random, 24, random.pick(["right", "left"]));
      const study = studyOn(whole, { tempo: random.pick([60, 120, 240]) });
      const fingering = bestFingerings(study, {}, 1)[0]!;
      const all = planned(study, fingering).frames;
      const [from, to] = [all[6]!.frame.onset.at, all[18]!.frame.onset.at];
      const cut = {
        ...whole,
        notes: whole.notes.filter((n) => compare(n.onset, from) >= 0 && compare(n.onset, to) <= 0),
      };
      const some = planned({ ...study, passage: cut }, fingering).frames;
      const like = (frame: PlanFrame): PlanFrame => all.find((f) => f.notes[0] === frame.notes[0])!;
      // Notes held over the cut's start are not in it, and so not under the hand.
      if (some.some((f) => f.frame.held.length !== like(f).frame.held.length)) continue;
      const apart = some.map((f) =>
        Math.max(...(["x", "depth", "height"] as const).map((of) => Math.abs(f[of] - like(f)[of]))),
      );
      compared += apart.slice(5, -5).length;
      same += apart.slice(5, -5).filter((mm) => mm < 1).length;
    }
    expect(compared).toBeGreaterThanOrEqual(50);
    // The shortest way goes straight from bend to bend: where these are farther apart, what is cut off is felt farther in.
    expect(same).toBeGreaterThan(0.95 * compared);
  });

  it("of the left hand is the mirror of the right", () => {
    const keys = [60, 62, 64, 67, 71, 73, 70, 66, 64, 60];
    const right = planned(studyOfKeys(keys, "right"), fingered(studyOfKeys(keys, "right"), "1231234321"));
    const mirrored = keys.map((k) => 124 - k);
    const left = planned(studyOfKeys(mirrored, "left"), fingered(studyOfKeys(mirrored, "left"), "1231234321"));
    // Reflected about D 4: its middle in mm, doubled.
    const about =
      2 * ((keyShape(pitch(62), { octaveWidth: 164.5 }).left + keyShape(pitch(62), { octaveWidth: 164.5 }).right) / 2);
    right.frames.forEach((frame, i) => {
      const other = left.frames[i]!;
      expect(about - frame.x).toBeCloseTo(other.x, 6);
      for (const same of ["depth", "height", "ulnarDeviation", "supination", "shape"] as const) {
        if (typeof frame[same] === "number") expect(frame[same]).toBeCloseTo(other[same] as number, 6);
        else expect(frame[same]).toBe(other[same]);
      }
      expect(about - frame.room.x!.least).toBeCloseTo(other.room.x!.most, 6);
      expect(about - frame.room.x!.most).toBeCloseTo(other.room.x!.least, 6);
      expect(frame.room.depth!.least).toBeCloseTo(other.room.depth!.least, 6);
      expect(frame.room.depth!.most).toBeCloseTo(other.room.depth!.most, 6);
    });
  });

  it("lies over the middle of a chord, and stays about a note that is held", () => {
    const chord = planned(studyOfKeys([[60, 64, 67]]), fingered(studyOfKeys([[60, 64, 67]]), "135"));
    expect(Math.abs(chord.frames[0]!.x - chord.frames[0]!.ease)).toBeLessThan(0.01);
    const held = studyOn(
      passage([note("h", 60, "0", "4"), note("a", 67, "1", "1"), note("b", 69, "2", "1"), note("c", 76, "4", "1")]),
      { tempo: 60 },
    );
    const path = planned(held, fingered(held, "1455"));
    const thumb = path.frames[2]!.tips.find((t) => t.finger === 1)!;
    expect(thumb.key).toBe(60);
    const away = path.frames[3]!.x - path.frames[2]!.x;
    expect(away).toBeGreaterThan(40);
  });
});

it("comes to rest after the last note, and does not drift on", () => {
  const study = studyOfKeys([61, 60, 62, 64], "right", { tempo: 60 });
  const path = planned(study, fingered(study, "2123"));
  const last = path.frames.at(-1)!;
  const after = coordinatesAt(path, last.ms + 5000);
  expect(Math.abs(after.depth - last.depth)).toBeLessThan(15);
  expect(Math.abs(after.x - last.x)).toBeLessThan(15);
});
