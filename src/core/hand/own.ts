/** How a player's hands differ from the usual account of them, as their own takes have shown. */
export interface OwnFigures {
  /** Times as much as usual that a cause of strain weighs, by the cause's id; the usual for those that are not named. */
  readonly causes: Readonly<Record<string, number>>;
  /** Times as long as usual that the hand needs to be carried. */
  readonly movement: number;
}

/** A hand of which nothing of its own is known. */
export const USUAL_FIGURES: OwnFigures = { causes: {}, movement: 1 };

/** Whether nothing differs from what is usual. */
export function isUsual({ causes, movement }: OwnFigures): boolean {
  return movement === 1 && Object.keys(causes).length === 0;
}

/** Figures once others are taken up. @param movement null where it stays as it is */
export function ownAfter(now: OwnFigures, causes: OwnFigures["causes"], movement: number | null): OwnFigures {
  return { causes: { ...now.causes, ...causes }, movement: movement ?? now.movement };
}
