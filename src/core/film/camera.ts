import type { Point } from "../hand/pose";
import { FILM } from "../physics";
import { projected, type Homography, type PicturePoint } from "./homography";
import { homographyOf } from "./homography";

/** A camera over the keyboard that looks down at it a little from the player's side, and askew. */
export interface Camera {
  readonly width: number;
  readonly height: number;
  readonly toPicture: Homography;
}

/**
 * The camera of the clip that the program draws itself: the keys between two places fill most of its picture, smaller towards
 * the fallboard and a little askew, as a hand would hold it.
 * @param left mm along the keys of what is seen
 */
export function drawnCamera(left: number, right: number): Camera {
  const { width, height, margin, tilt, askew, front, back } = FILM;
  const [inset, drop] = [tilt * width, askew * height];
  const toPicture = homographyOf(
    [
      { x: left, y: front },
      { x: right, y: front },
      { x: right, y: back },
      { x: left, y: back },
    ],
    [
      { x: margin, y: height - margin },
      { x: width - margin, y: height - margin - drop },
      { x: width - margin - inset, y: margin },
      { x: margin + inset, y: margin + drop },
    ],
  )!;
  return { width, height, toPicture };
}

/** Where a camera sees a point of the keyboard, px. */
export function seenBy({ toPicture }: Camera, point: Point): PicturePoint {
  return projected(toPicture, point);
}
