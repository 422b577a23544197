import { drawnCamera, seenBy, type Camera } from "@/core/film/camera";
import { cornersOnKeys, type KeysMarked } from "@/core/film/ruler";
import type { Pose } from "@/core/hand/pose";
import { allKeys, type KeyShape } from "@/core/keyboard/geometry";
import type { Instrument } from "@/core/keyboard/instrument";
import { handAt } from "@/core/motion/plan/moment";
import type { Plan } from "@/core/motion/plan/plan";
import { FILM, KEYBOARD } from "@/core/physics";
import type { FilmSource } from "./film-source";

/** ms that the clip goes on after the last onset. */
const AFTER = 600;
/** mm of keyboard to either side of what is played. */
const ABOUT = 120;
/** mm of forearm that is drawn, and how broad it is. */
const ARM = 90;
const ARM_BROAD = 42;

const WHITE = "#efe9dc";
const BLACK = "#2a2422";
const WOOD = "#6d5a45";
const SKIN = "#d8b690";
const OUTLINE = "#4b382a";

/** A small clip that the program draws itself: the plan's hands over the keys, as a camera held above them would see it. */
export function drawnFilm({ hands }: Plan, on: Instrument): FilmSource {
  const frames = hands.flatMap((hand) => hand.frames);
  const [from, to] = [Math.min(...frames.map(({ ms }) => ms)), Math.max(...frames.map(({ ms }) => ms)) + AFTER];
  const xs = frames.map(({ x }) => x);
  const camera = drawnCamera(Math.min(...xs) - ABOUT, Math.max(...xs) + ABOUT);
  const keys = allKeys(on);
  const ends = endsSeen(keys, Math.min(...xs), Math.max(...xs));
  const corners = cornersOnKeys(ends, on).map((corner) => seenBy(camera, corner)) as unknown as KeysMarked["corners"];
  return {
    name: "The clip that is drawn from the plan",
    ...{ width: camera.width, height: camera.height, picturesASecond: FILM.framesASecond },
    keys: { ...ends, corners },
    pictures: Math.max(1, Math.ceil(((to - from) / 1000) * FILM.framesASecond)),
    show(context, picture) {
      context.fillStyle = WOOD;
      context.fillRect(0, 0, camera.width, camera.height);
      for (const black of [false, true]) for (const key of keys) if (key.black === black) drawKey(context, camera, key);
      const ms = from + (picture * 1000) / FILM.framesASecond;
      for (const hand of hands) {
        const moment = handAt(hand, ms);
        if (moment) drawHand(context, camera, moment.pose);
      }
      return Promise.resolve();
    },
    close: () => undefined,
  };
}

/** The white keys at the ends of what is played. */
function endsSeen(keys: readonly KeyShape[], left: number, right: number): Pick<KeysMarked, "lowest" | "highest"> {
  const whites = keys.filter(({ black }) => !black);
  const at = (x: number): KeyShape => whites.find((key) => key.left <= x && x < key.right) ?? whites[0]!;
  return { lowest: at(left).key, highest: at(right).key };
}

function drawKey(context: CanvasRenderingContext2D, camera: Camera, { black, left, right }: KeyShape): void {
  const front = black ? KEYBOARD.blackStart : 0;
  const back = KEYBOARD.whiteLength;
  const corners = [
    [left, front],
    [right, front],
    [right, back],
    [left, back],
  ] as const;
  context.beginPath();
  for (const [x, y] of corners) {
    const at = seenBy(camera, { x, y });
    context.lineTo(at.x, at.y);
  }
  context.closePath();
  context.fillStyle = black ? BLACK : WHITE;
  context.strokeStyle = OUTLINE;
  context.lineWidth = 0.8;
  context.fill();
  context.stroke();
}

/** px that a mm is wide about a place. */
function scaleAt(camera: Camera, x: number, y: number): number {
  return Math.abs(seenBy(camera, { x: x + 10, y }).x - seenBy(camera, { x: x - 10, y }).x) / 20;
}

function drawHand(context: CanvasRenderingContext2D, camera: Camera, { fingers, wrist }: Pose): void {
  const at = seenBy(camera, wrist);
  context.lineCap = "round";
  context.lineJoin = "round";
  for (const [colour, grow] of [
    [OUTLINE, 2],
    [SKIN, 0],
  ] as const) {
    context.strokeStyle = colour;
    const elbow = seenBy(camera, { x: wrist.x, y: wrist.y - ARM });
    context.lineWidth = ARM_BROAD * scaleAt(camera, wrist.x, wrist.y) + grow;
    context.beginPath();
    context.moveTo(at.x, at.y);
    context.lineTo(elbow.x, elbow.y);
    context.stroke();
    for (const { tip, knuckle, width } of fingers) {
      const [end, joint] = [seenBy(camera, tip), seenBy(camera, knuckle)];
      context.lineWidth = width * scaleAt(camera, tip.x, tip.y) + grow;
      context.beginPath();
      context.moveTo(end.x, end.y);
      context.lineTo(joint.x, joint.y);
      context.lineTo(at.x, at.y);
      context.stroke();
    }
  }
  context.fillStyle = OUTLINE;
  for (const point of [...fingers.flatMap(({ tip, knuckle }) => [tip, knuckle]), wrist]) {
    const dot = seenBy(camera, point);
    context.beginPath();
    context.arc(dot.x, dot.y, 1.6, 0, 2 * Math.PI);
    context.fill();
  }
}
