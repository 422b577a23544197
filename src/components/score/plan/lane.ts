import type { NoteId } from "@/core/passage/note";

/** A lane of the hand plan, of a take, or of the map of takes. */
export type LaneId =
  | "turn"
  | "height"
  | "in-out"
  | "sideways"
  | "shape"
  | "release"
  | "late"
  | "strength"
  | "tempo"
  | "faults"
  | "tension";

/** What a lane draws for one hand. */
export interface LaneSeries {
  readonly points: readonly LanePoint[];
  /** Least and greatest value that the lane shows. */
  readonly range: readonly [number, number];
  /** Limits of this player that are the same throughout; one outside the range lies at the edge of the lane. */
  readonly limits: readonly LaneLimit[];
  /** Words of the line at zero or in the middle. */
  readonly unit: string;
}

export interface LanePoint {
  readonly note: NoteId;
  readonly value: number;
  /** What it says in full. */
  readonly words: string;
  /** Whether it is beyond what is wanted. */
  readonly beyond: boolean;
  /** How far this player's fingers let it go here; null where they leave it free. */
  readonly room: { readonly least: number; readonly most: number } | null;
}

/** A limit of this player with its figure, short and in full. */
export interface LaneLimit {
  readonly at: number;
  readonly figure: string;
  readonly words: string;
}
