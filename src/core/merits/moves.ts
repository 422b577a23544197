import type { JoinKind } from "../fingering/explain/positions";
import { counted } from "../counted";
import type { Fingered, Merit, MeritFound } from "./merit";

/** How often a hand goes to another position. */
export const moves: Merit = {
  id: "moves",
  label: "Changes of position",
  better: "less",
  find: (given) => joins(given, () => true),
  say: (amount) => counted(amount, "move", "moves"),
};

/** How often the thumb passes under, or a finger over it. */
export const passes: Merit = {
  id: "passes",
  label: "Thumb passes",
  better: "less",
  find: (given) => joins(given, (kind) => kind === "thumb pass"),
  say: (amount) => counted(amount, "pass", "passes"),
};

/** How often long fingers cross one another. */
export const crossings: Merit = {
  id: "crossings",
  label: "Crossings without the thumb",
  better: "less",
  find: (given) => joins(given, (kind) => kind === "crossing"),
  say: (amount) => counted(amount, "crossing", "crossings"),
};

function joins({ positions }: Fingered, counts: (kind: JoinKind) => boolean): MeritFound {
  const found = positions.filter(({ join }) => join !== null && counts(join.kind));
  return { amount: found.length, where: found[0]?.notes[0] ?? null };
}
