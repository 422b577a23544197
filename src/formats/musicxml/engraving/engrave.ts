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

/** A drawing, one SVG a line of music; nothing where it was given up because something newer was wanted in its place. */
export type Engraved = readonly string[] | null;

/** Told apart from drawings kept from before the options below last changed. */
export const ENGRAVING_STYLE = "2";

/** The few calls of the engraving library that are used. */
export interface Toolkit {
  setOptions(options: Readonly<Record<string, unknown>>): void;
  resetXmlIdSeed(seed: number): void;
  loadData(music: string): boolean | number;
  getPageCount(): number;
  renderToSVG(page: number): string;
}

/** The music is nothing that the engraver can draw. */
export class NotEngraved extends Error {
  constructor() {
    super("The music could not be engraved.");
  }
}

/** Engraver's units for a row of digits at its usual size. */
const ROW = 34;

/** Lines drawn from one look at whether they are still wanted to the next. */
const LINES_A_BREATH = 4;

/**
 * Engraves, and gives up between lines what is not wanted any more.
 * @param isWanted asked before each line
 * @param breathe lets in what may change that
 * @throws NotEngraved
 */
export async function engrave(
  toolkit: Toolkit,
  asked: EngravingAsked,
  isWanted: () => boolean,
  breathe: () => Promise<void>,
): Promise<Engraved> {
  toolkit.setOptions(optionsOf(asked));
  toolkit.resetXmlIdSeed(1);
  if (!toolkit.loadData(asked.music)) throw new NotEngraved();
  const lines: string[] = [];
  for (let page = 1; page <= toolkit.getPageCount(); page++) {
    if (page > 1 && page % LINES_A_BREATH === 1) await breathe();
    if (!isWanted()) return null;
    lines.push(toolkit.renderToSVG(page));
  }
  return lines;
}

/** One line a page, so that what belongs to a line can stand under it; room above and below for digits. */
function optionsOf({ width, scale, rows }: EngravingAsked): Readonly<Record<string, unknown>> {
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
