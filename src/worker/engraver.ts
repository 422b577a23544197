import type { Entry } from "@/core/entry/entry";
import type { Note } from "@/core/passage/note";
import type { DrillWritten } from "@/core/practice/music";

/** What is to be engraved, and how large. */
export interface EngravingAsked {
  /** MusicXML whose notes carry ids; the ids stand on the drawing's notes. */
  readonly music: string;
  /** px of a line; null for one line as long as the music. */
  readonly width: number | null;
  /** Percent of the engraver's usual size. */
  readonly scale: number;
  /** How many digits may stand over one another beside a single note: room is left for them. */
  readonly rows: number;
}

/** A drill as a score. */
export interface DrillScore {
  /** MusicXML whose notes carry ids, to be engraved. */
  readonly music: string;
  readonly notes: readonly Note[];
  /** MusicXML with its digits, for others to read. */
  readonly file: string;
}

/** A drawing, or nothing where something newer was wanted in its place. */
export type Engraved = readonly string[] | null;

/** Turns music into drawings. Of several questions for one place only the newest is answered with a drawing. */
export interface Engraver {
  /**
   * @param place what the drawing is for
   * @returns one SVG a line of music
   */
  engrave(asked: EngravingAsked, place: string): Promise<Engraved>;
  /** The same of music entered step by step, its notes under the names of core/entry namesOf. */
  engraveEntry(entry: Entry, asked: Omit<EngravingAsked, "music">, place: string): Promise<Engraved>;
  /** A drill as a score. */
  drillScore(drill: DrillWritten): Promise<DrillScore>;
  /** Nothing is wanted any more for a place. */
  leave(place: string): void;
}

/** Told apart from drawings kept from before the options below last changed. */
export const ENGRAVING_STYLE = "2";

/** Engraver's units for a row of digits at its usual size. */
const ROW = 34;

/** One line a page, so that what belongs to a line can stand under it; room above and below for digits. */
export function engraverOptions({ width, scale, rows }: EngravingAsked): Readonly<Record<string, unknown>> {
  return {
    ...(width === null
      ? { breaks: "none", pageWidth: 100_000, adjustPageWidth: true }
      : { breaks: "auto", pageWidth: Math.round((width * 100) / scale), adjustPageWidth: false }),
    pageHeight: 200,
    adjustPageHeight: true,
    header: "none",
    footer: "none",
    scale,
    font: "Leland",
    svgFormatRaw: true,
    xmlIdSeed: 1,
    mnumInterval: 1,
    spacingStaff: 14,
    spacingLinear: 0.3,
    spacingNonLinear: 0.55,
    minLastJustification: 0.5,
    pageMarginTop: 100 + ROW * (rows - 1),
    pageMarginBottom: 60 + ROW * (rows - 1),
    pageMarginLeft: 30,
    pageMarginRight: 10,
  };
}
