import { seeded } from "../../../tests/support/seeded";
import { handOfRulerSpan } from "../hand/hand";
import { poseOf } from "../hand/pose";
import { FULL_SIZE } from "../keyboard/instrument";
import { contactOn } from "../keyboard/contact";
import { pitch } from "../keyboard/pitch";
import { drawnCamera, seenBy } from "./camera";
import { marksOfPose, marksOnKeys, measuredInFilm, mirroredBeside, type HandMarks } from "./hand-marked";
import { homographyOf, projected, type Corners } from "./homography";
import { cornersOnKeys, inPicture, onKeys, rulerOf } from "./ruler";
import { ledTo, SEEN_FAULT_IDS } from "./seen";

const hand = handOfRulerSpan("right", 205);
const keys = { lowest: pitch(60), highest: pitch(83) };
const pose = poseOf(
  hand,
  new Map(
    ([1, 3, 5] as const).map((finger, i) => {
      const contact = contactOn(pitch([60, 64, 67][i]!), FULL_SIZE);
      return [finger, { x: contact.x, y: 40 }];
    }),
  ),
)!;
const camera = drawnCamera(440, 900);
const round = ({ x, y }: { x: number; y: number }) => ({ x: Math.round(x), y: Math.round(y) });
const marked = {
  ...keys,
  corners: cornersOnKeys(keys, FULL_SIZE).map((p) => round(seenBy(camera, p))) as unknown as Corners,
};
const ruler = rulerOf(marked, FULL_SIZE)!;

describe("a film of the hands", () => {
  it("is measured by the keys: points marked to a px come out within 2 mm of the truth", () => {
    const truth = marksOfPose(pose);
    const seen = Object.fromEntries(Object.entries(truth).map(([name, p]) => [name, round(seenBy(camera, p))]));
    const found = marksOnKeys(seen, ruler);
    for (const [name, point] of Object.entries(truth)) {
      const at = found[name as keyof HandMarks]!;
      expect(Math.hypot(at.x - point.x, at.y - point.y)).toBeLessThan(2);
    }
    const { points, turned, turnedPlanned } = measuredInFilm("right", found, pose);
    expect(points).toHaveLength(11);
    expect(Math.abs(turned! - turnedPlanned!)).toBeLessThan(1.5);
  });

  it("goes from the picture to the keys and back", () => {
    const random = seeded(4);
    for (let i = 0; i < 50; i++) {
      const point = { x: random.whole(100, 700), y: random.whole(60, 380) };
      const back = inPicture(ruler, onKeys(ruler, point));
      expect(Math.hypot(back.x - point.x, back.y - point.y)).toBeLessThan(1e-6);
    }
  });

  it("has no ruler where the corners do not span anything", () => {
    const flat: Corners = [0, 1, 2, 3].map((x) => ({ x, y: x })) as unknown as Corners;
    expect(rulerOf({ ...keys, corners: flat }, FULL_SIZE)).toBeNull();
  });

  it("takes corners exactly to corners", () => {
    const to = cornersOnKeys(keys, FULL_SIZE);
    const h = homographyOf(marked.corners, to)!;
    marked.corners.forEach((corner, i) => {
      expect(projected(h, corner).x).toBeCloseTo(to[i]!.x, 6);
      expect(projected(h, corner).y).toBeCloseTo(to[i]!.y, 6);
    });
  });

  it("measures openings, against the plan's, and only of what is marked", () => {
    const { openings } = measuredInFilm("right", { "tip 1": { x: 0, y: 0 }, "tip 5": { x: 30, y: 40 } }, null);
    expect(openings).toEqual([{ from: 1, to: 5, mm: 50, planned: null }]);
    expect(measuredInFilm("right", {}, pose)).toMatchObject({ openings: [], points: [], turned: null });
  });

  it("lays the other hand mirrored on it: a mirrored pose comes to lie on its own", () => {
    const own = marksOfPose(pose);
    const left = Object.fromEntries(Object.entries(own).map(([name, { x, y }]) => [name, { x: 300 - x, y }]));
    const beside = mirroredBeside(left, own);
    for (const [name, point] of Object.entries(own)) expect(beside[name as keyof HandMarks]!.x).toBeCloseTo(point.x, 6);
    expect(mirroredBeside({}, own)).toEqual({});
  });

  it("leads from what an eye saw to the plan's adjustments, none lost", () => {
    const adjustments = ["turn-out", "in", "higher", "outwards"].map((id) => ({ id }));
    for (const fault of SEEN_FAULT_IDS) expect(new Set(ledTo(fault, adjustments))).toEqual(new Set(adjustments));
    expect(ledTo("thumb-late", adjustments)[0]!.id).toBe("higher");
  });
});
