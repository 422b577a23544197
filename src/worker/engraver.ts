/** Turns music into drawings. */
export interface Engraver {
  /**
   * @param music MusicXML whose notes carry ids; the ids stand on the drawing's notes
   * @param width px of a line
   * @param scale percent of the engraver's usual size
   * @returns one SVG a line of music
   */
  engrave(music: string, width: number, scale: number): Promise<readonly string[]>;
}

/** One line a page, so that what belongs to a line can stand under it; room above and below for digits. */
export function engraverOptions(width: number, scale: number): Readonly<Record<string, unknown>> {
  return {
    breaks: "auto",
    pageWidth: Math.round((width * 100) / scale),
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
    pageMarginTop: 100,
    pageMarginBottom: 60,
    pageMarginLeft: 30,
    pageMarginRight: 10,
  };
}
