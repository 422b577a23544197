import type { Fingered, Merit, MeritFound } from "./merit";
import { openingsAt, type Opening } from "./openings";

/** The widest opening of two fingers, in mm between their contacts. */
export const widestOpening: Merit = {
  id: "widest-opening",
  label: "Widest opening",
  better: "less",
  find: (given) => most(given, ({ mm }) => mm),
  say: (amount) => `${Math.round(amount)} mm`,
};

/** The opening nearest to the widest that its two fingers can do, in hundredths of it. */
export const nearestLimit: Merit = {
  id: "nearest-limit",
  label: "Opening nearest its limit",
  better: "less",
  find: (given) => most(given, ({ mm, limits }) => (100 * mm) / limits.widestPractical),
  say: (amount) => `${Math.round(amount)} %`,
};

function most({ hands }: Fingered, size: (opening: Opening) => number): MeritFound {
  let [found, amount]: [Opening | null, number] = [null, 0];
  for (const { task, frames } of hands)
    frames.forEach((now, i) => {
      for (const opening of openingsAt(task, frames[i - 1] ?? null, now))
        if (size(opening) > amount) [found, amount] = [opening, size(opening)];
    });
  return found === null ? { amount: 0, where: null } : { amount, where: found.note, more: said(found) };
}

function said({ fingers, mm, limits }: Opening): string {
  return `${fingers.join(" and ")}, ${Math.round(mm)} of ${Math.round(limits.widestPractical)} mm`;
}
