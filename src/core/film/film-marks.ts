import type { Side } from "../hand/finger";
import type { NoteId } from "../passage/note";
import type { HandMarks } from "./hand-marked";
import type { KeysMarked } from "./ruler";
import type { SeenAt } from "./seen";

/** A hand as it is marked in one picture of a film. */
export interface HandInPicture {
  /** Which picture of the film, from 0. */
  readonly picture: number;
  readonly side: Side;
  /** The onset it is at, by a note of it; null where that was not said. */
  readonly note: NoteId | null;
  readonly marks: HandMarks;
}

/** All that was marked in a film. */
export interface FilmMarks {
  readonly keys: KeysMarked | null;
  readonly hands: readonly HandInPicture[];
  readonly seen: readonly SeenAt[];
}

export const NO_FILM_MARKS: FilmMarks = { keys: null, hands: [], seen: [] };

/** The hand marked in a picture; null where none is. */
export function handIn({ hands }: FilmMarks, picture: number, side: Side): HandInPicture | null {
  return hands.find((hand) => hand.picture === picture && hand.side === side) ?? null;
}

/** The marks with a hand in a picture changed, or made. */
export function withHand(
  marks: FilmMarks,
  picture: number,
  side: Side,
  change: (hand: HandInPicture) => HandInPicture,
): FilmMarks {
  const now = handIn(marks, picture, side) ?? { picture, side, note: null, marks: {} };
  const others = marks.hands.filter((hand) => hand.picture !== picture || hand.side !== side);
  return { ...marks, hands: [...others, change(now)].sort((a, b) => a.picture - b.picture) };
}
