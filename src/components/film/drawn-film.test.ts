import { rulerOf, onKeys } from "@/core/film/ruler";
import { FULL_SIZE } from "@/core/keyboard/instrument";
import { allKeys } from "@/core/keyboard/geometry";
import { pitch } from "@/core/keyboard/pitch";
import { handAt } from "@/core/motion/plan/moment";
import { planOf } from "@/core/motion/plan/plan";
import { fingered, studyOfKeys } from "../../../tests/support/studies";
import { drawnFilm } from "./drawn-film";

const study = studyOfKeys([60, 62, 64, 65, 67, 69, 71, 72]);
const plan = planOf(study, fingered(study, "12312345"));
const film = drawnFilm(plan, FULL_SIZE);

/** What a picture draws: the outlines of its areas, and its dots. */
async function drawn(picture: number) {
  const areas: { x: number; y: number }[][] = [];
  const dots: { x: number; y: number }[] = [];
  const nothing = (): void => undefined;
  const context = {
    ...{ fillRect: nothing, closePath: nothing, fill: nothing, stroke: nothing },
    beginPath: () => void areas.push([]),
    moveTo: (x: number, y: number) => void areas.at(-1)!.push({ x, y }),
    lineTo: (x: number, y: number) => void areas.at(-1)!.push({ x, y }),
    arc: (x: number, y: number) => void dots.push({ x, y }),
  };
  await film.show(context as unknown as CanvasRenderingContext2D, picture);
  return { areas, dots };
}
const round = ({ x, y }: { x: number; y: number }) => ({ x: Math.round(x), y: Math.round(y) });

describe("the clip that is drawn", () => {
  it("is measured by its own keys: fingertips marked in it come out within 2 mm of the plan's", async () => {
    const { areas, dots } = await drawn(0);
    const whites = allKeys(FULL_SIZE).filter(({ black }) => !black);
    const keyAt = (key: number) => areas[whites.findIndex((shape) => shape.key === key)]!;
    const [low, high] = [keyAt(60), keyAt(72)];
    const corners = [low[0]!, high[1]!, high[2]!, low[3]!].map(round) as never;
    const ruler = rulerOf({ lowest: pitch(60), highest: pitch(72), corners }, FULL_SIZE)!;
    const hand = plan.hands[0]!;
    const { fingers, wrist } = handAt(hand, hand.frames[0]!.ms)!.pose;
    const truth = [...fingers.flatMap(({ tip, knuckle }) => [tip, knuckle]), wrist];
    expect(dots).toHaveLength(truth.length);
    dots.forEach((dot, i) => {
      const found = onKeys(ruler, round(dot));
      expect(Math.hypot(found.x - truth[i]!.x, found.y - truth[i]!.y)).toBeLessThan(2);
    });
  });

  it("moves with the plan to its end, and stays within its picture", async () => {
    const last = await drawn(film.pictures - 1);
    const first = await drawn(0);
    expect(last.dots[0]!.x - first.dots[0]!.x).toBeGreaterThan(20);
    for (const { x, y } of [...first.dots, ...last.dots]) {
      expect(x).toBeGreaterThan(0);
      expect(x).toBeLessThan(film.width);
      expect(y).toBeLessThan(film.height);
    }
  });
});
