/** Papers that a sheet is printed on, mm, upright. */
export const PAPERS = {
  a4: { name: "A4", width: 210, height: 297 },
  letter: { name: "Letter", width: 216, height: 279 },
} as const;
export type PaperId = keyof typeof PAPERS;

/** mm left white on every side. */
export const MARGIN = 12;

export interface Paper {
  readonly id: PaperId;
  /** Whether it lies on its long side. */
  readonly lies: boolean;
}

/** mm across the paper, and across what is printed on it. */
export function widthOf({ id, lies }: Paper): { readonly paper: number; readonly printed: number } {
  const { width, height } = PAPERS[id];
  const paper = lies ? height : width;
  return { paper, printed: paper - 2 * MARGIN };
}

/** What a browser is told of the paper. */
export function pageRule({ id, lies }: Paper): string {
  const { width, height } = PAPERS[id];
  const [w, h] = lies ? [height, width] : [width, height];
  return `@page { size: ${w}mm ${h}mm; margin: ${MARGIN}mm; }`;
}
