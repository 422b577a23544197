import type { SignPlaced } from "@/core/motion/marks/signs";
import { DIGIT_HEIGHT, type DigitPlaced } from "../marks/digits";
import type { LinePlaces } from "../engraving/places";
import { SignDrawing } from "./sign-drawing";

/** px from the staff's ink to the signs, from the outermost digits, and from one row of signs to the next. */
const CLEAR = 30;
const CLEAR_OF_DIGITS = 9;
const ROW = 13;

interface Placed {
  readonly sign: SignPlaced;
  readonly x: number;
  readonly y: number;
  readonly end: number | null;
}

/** The signs of the plan over and under the staves, and the words of the player. */
export function PlanSigns({
  places,
  signs,
  digits,
}: {
  places: LinePlaces;
  signs: readonly SignPlaced[];
  digits: readonly DigitPlaced[];
}) {
  return placed(places, signs, digits).map(({ sign, x, y, end }) => (
    <g key={sign.key} data-sign-of-plan={sign.sign}>
      <title>{sign.words}</title>
      {sign.sign === "group" ? (
        <path
          d={`M ${x - 5} ${y + (sign.above ? 4 : -4)} v ${sign.above ? -4 : 4} H ${(end ?? x) + 5} v ${sign.above ? 4 : -4}`}
          fill="none"
          stroke="var(--ink-soft)"
          strokeWidth={0.9}
        />
      ) : sign.sign === "words" ? (
        <text x={x - 4} y={y + 4} fontSize={13} fontFamily="var(--font-serif)" fontStyle="italic" fill="var(--ink)">
          {sign.words}
        </text>
      ) : (
        <g transform={`translate(${x} ${y})`}>
          <SignDrawing sign={sign.sign} />
        </g>
      )}
    </g>
  ));
}

/** px by which signs go past a line of music, over it and under it: room that it must be given. */
export function overhangOf(
  places: LinePlaces,
  signs: readonly SignPlaced[],
  digits: readonly DigitPlaced[],
): { readonly over: number; readonly under: number } {
  const ys = placed(places, signs, digits).map(({ y }) => y);
  return {
    over: Math.max(0, ROW - Math.min(Infinity, ...ys)),
    under: Math.max(0, Math.max(-Infinity, ...ys) + ROW - places.height),
  };
}

/** Groups in the row nearest the digits, signs in the next, one beyond the other where several stand at a note. */
function placed(places: LinePlaces, signs: readonly SignPlaced[], digits: readonly DigitPlaced[]): readonly Placed[] {
  const beside = new Map<string, number>();
  const outer = (above: boolean): number => {
    const ys = [...places.notes.values()];
    const staves = places.staves;
    return above
      ? Math.min(staves[0]?.top ?? 0, ...ys.map((n) => n.top))
      : Math.max(staves.at(-1)?.bottom ?? 0, ...ys.map((n) => n.bottom));
  };
  const middle = places.height / 2;
  const over = digits.filter(({ y }) => y < middle).map(({ y, size }) => y - size * DIGIT_HEIGHT - CLEAR_OF_DIGITS);
  const under = digits.filter(({ y }) => y > middle).map(({ y }) => y + CLEAR_OF_DIGITS);
  const top = Math.min(outer(true) - CLEAR, ...over);
  const bottom = Math.max(outer(false) + CLEAR, ...under);
  return signs.flatMap((sign): Placed[] => {
    const at = places.notes.get(sign.note);
    if (!at) return [];
    const last = sign.to === null ? undefined : places.notes.get(sign.to);
    const end = sign.to === null ? null : (last?.x ?? places.width - 12);
    const row = sign.sign === "group" ? 0 : 1;
    const key = `${sign.above} ${row} ${Math.round(at.x / 4)}`;
    const count = row === 1 ? (beside.get(key) ?? 0) : 0;
    beside.set(key, count + 1);
    const rows = row + count;
    return [{ sign, x: at.x, y: sign.above ? top - rows * ROW : bottom + rows * ROW, end }];
  });
}
