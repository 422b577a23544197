import type { NoteId } from "../../passage/note";
import type { Heard } from "../heard";

/** Something of a figure at a place. */
export interface PlaceFound {
  readonly note: NoteId;
  readonly amount: number;
}

export interface TakeFigureFound {
  /** In the figure's own unit. */
  readonly amount: number;
  /** Where it is found, in the order of the music. */
  readonly places: readonly PlaceFound[];
  /** The same figure for parts of the passage, by their names: bars, fingers. */
  readonly parts?: Readonly<Record<string, number>>;
}

/** One figure of a take. Each is a file in figures/. */
export interface TakeFigure {
  readonly id: string;
  /** As the player reads it. */
  readonly label: string;
  readonly unit: "ms" | "notes" | "quarter notes a minute" | "velocity";
  /** null where the take has nothing to tell of it. */
  find(heard: Heard): TakeFigureFound | null;
}
