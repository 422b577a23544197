import type { Point } from "../hand/pose";

/** A point of a picture, px from its left upper corner. */
export type PicturePoint = Point;

/** How a plane is seen by a camera: nine numbers, row by row, that take one plane's points to another's. */
export type Homography = readonly number[];

/** Four corners going round, each plane's in the same order. */
export type Corners = readonly [Point, Point, Point, Point];

/**
 * The projection that takes four points to four others exactly, by the direct linear transform (Hartley and Zisserman,
 * Multiple View Geometry in Computer Vision, 2004, chapter 4), the last of its numbers being 1.
 * @returns null where three of either four lie on a line
 */
export function homographyOf(from: Corners, to: Corners): Homography | null {
  const rows = from.flatMap(({ x, y }, i) => {
    const { x: u, y: v } = to[i]!;
    return [
      [x, y, 1, 0, 0, 0, -u * x, -u * y, u],
      [0, 0, 0, x, y, 1, -v * x, -v * y, v],
    ];
  });
  const solved = solve(rows);
  return solved && [...solved, 1];
}

/** Where a projection takes a point. Points on its horizon go to infinity. */
export function projected(h: Homography, { x, y }: Point): Point {
  const w = h[6]! * x + h[7]! * y + h[8]!;
  return { x: (h[0]! * x + h[1]! * y + h[2]!) / w, y: (h[3]! * x + h[4]! * y + h[5]!) / w };
}

/** Least size of a pivot, of the largest number in its column. */
const FLAT = 1e-9;

/** Solves equations, each a row with its right side last, by elimination; null where they do not determine an answer. */
function solve(given: readonly (readonly number[])[]): readonly number[] | null {
  const rows = given.map((row) => [...row]);
  const n = rows.length;
  const scale = Math.max(...rows.flat().map(Math.abs), 1);
  for (let column = 0; column < n; column++) {
    let pivot = column;
    for (let row = column + 1; row < n; row++)
      if (Math.abs(rows[row]![column]!) > Math.abs(rows[pivot]![column]!)) pivot = row;
    if (Math.abs(rows[pivot]![column]!) < FLAT * scale) return null;
    [rows[column], rows[pivot]] = [rows[pivot]!, rows[column]!];
    for (let row = 0; row < n; row++) {
      if (row === column) continue;
      const share = rows[row]![column]! / rows[column]![column]!;
      for (let k = column; k <= n; k++) rows[row]![k] = rows[row]![k]! - share * rows[column]![k]!;
    }
  }
  return rows.map((row, i) => row[n]! / row[i]!);
}
