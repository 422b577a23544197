import type { Fingered, Merit, MeritFound } from "./merit";
import { openingsAt, type Opening } from "../fingering/explain/openings";

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
  const all = hands.flatMap(({ task, frames }) =>
    frames.flatMap((now, i) => openingsAt(task, frames[i - 1] ?? null, now)),
  );
  const found = all.reduce<Opening | null>((a, b) => (size(b) > (a ? size(a) : 0) ? b : a), null);
  return found === null ? { amount: 0, where: null } : { amount: size(found), where: found.note, more: said(found) };
}

function said({ fingers, mm, limits }: Opening): string {
  return `${fingers.join(" and ")}, ${Math.round(mm)} of ${Math.round(limits.widestPractical)} mm`;
}
