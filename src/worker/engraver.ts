import type { Entry } from "@/core/entry/entry";
import type { Note } from "@/core/passage/note";
import type { DrillWritten } from "@/core/practice/music";
import type { Engraved, EngravingAsked } from "@/formats/musicxml/engraving/engrave";

export { ENGRAVING_STYLE } from "@/formats/musicxml/engraving/engrave";
export type { Engraved, EngravingAsked };

/** A drill as a score. */
export interface DrillScore {
  /** MusicXML whose notes carry ids, to be engraved. */
  readonly music: string;
  readonly notes: readonly Note[];
  /** MusicXML with its digits, for others to read. */
  readonly file: string;
}

/** Turns music into drawings. Of several questions for one place only the newest is answered with a drawing. */
export interface Engraver {
  /** @param place what the drawing is for */
  engrave(asked: EngravingAsked, place: string): Promise<Engraved>;
  /** The same of music entered step by step, its notes under the names of core/entry namesOf. */
  engraveEntry(entry: Entry, asked: Omit<EngravingAsked, "music">, place: string): Promise<Engraved>;
  /** A drill as a score. */
  drillScore(drill: DrillWritten): Promise<DrillScore>;
  /** Nothing is wanted any more for a place. */
  leave(place: string): void;
}
