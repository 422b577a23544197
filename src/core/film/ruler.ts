import type { Point } from "../hand/pose";
import { keyShape } from "../keyboard/geometry";
import type { Instrument } from "../keyboard/instrument";
import type { Pitch } from "../keyboard/pitch";
import { KEYBOARD } from "../physics";
import { homographyOf, projected, type Corners, type Homography, type PicturePoint } from "./homography";

/** The corners of some keys in a picture: the keys are the ruler. */
export interface KeysMarked {
  /** White keys, of which the outer edges are marked. */
  readonly lowest: Pitch;
  readonly highest: Pitch;
  /** Front left, front right, right at the fallboard, left at the fallboard, px. */
  readonly corners: readonly [PicturePoint, PicturePoint, PicturePoint, PicturePoint];
}

/** From px of a picture to mm of the keyboard, and back. */
export interface Ruler {
  readonly toKeys: Homography;
  readonly toPicture: Homography;
}

/** The same four corners on the keyboard, mm. */
export function cornersOnKeys({ lowest, highest }: Pick<KeysMarked, "lowest" | "highest">, on: Instrument): Corners {
  const [left, right] = [keyShape(lowest, on).left, keyShape(highest, on).right];
  const back = KEYBOARD.whiteLength;
  return [
    { x: left, y: 0 },
    { x: right, y: 0 },
    { x: right, y: back },
    { x: left, y: back },
  ];
}

/**
 * The ruler of a picture: what lies in the plane of the key tops is measured in mm by the instrument's own octave. What is
 * higher appears farther from the camera's foot than it is.
 * @returns null where the corners do not span anything
 */
export function rulerOf(marked: KeysMarked, on: Instrument): Ruler | null {
  const keys = cornersOnKeys(marked, on);
  const toKeys = homographyOf(marked.corners, keys);
  const toPicture = homographyOf(keys, marked.corners);
  return toKeys && toPicture && { toKeys, toPicture };
}

/** A point of the picture on the keyboard, mm. */
export function onKeys({ toKeys }: Ruler, point: PicturePoint): Point {
  return projected(toKeys, point);
}

/** A point of the keyboard in the picture, px. */
export function inPicture({ toPicture }: Ruler, point: Point): PicturePoint {
  return projected(toPicture, point);
}
