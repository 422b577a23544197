import type { Doing } from "@/core/practice/planner/day";
import type { BlockData } from "@/server/types";

/** What a stretch of a day is called. */
export const DOING_SAID: Readonly<Record<Doing, string>> = {
  "warm-up": "Warm up",
  check: "Loose?",
  rest: "Rest",
  decide: "Decide",
  review: "Look again",
  learn: "Learn",
  secure: "Secure",
  keep: "Keep",
  run: "Run through",
};

/** The aim of a stretch in a few words, to be read from a metre away. */
export const AIM_SAID: Readonly<Record<Doing, string>> = {
  "warm-up": "Slow, soft, nothing wide",
  check: "Shoulders, elbows, hands: loose?",
  rest: "Arms hanging, nothing to play",
  decide: "Try the options, then choose",
  review: "Is it still the right one?",
  learn: "One hard place, made easy",
  secure: "Up the ladder, clean and easy",
  keep: "Once through, as if on stage",
  run: "Through to the end, no stops",
};

/** What a block is about: a passage, a piece, or nothing. */
function titleOf({ passage, piece }: Pick<BlockData, "passage" | "piece">): string {
  return passage?.title ?? piece?.title ?? "";
}

/** "Learn: The run over the black keys". */
export function blockSaid(block: Pick<BlockData, "doing" | "passage" | "piece">): string {
  const title = titleOf(block);
  return title === "" ? DOING_SAID[block.doing] : `${DOING_SAID[block.doing]}: ${title}`;
}

/** Why a block is there, as a sentence. */
export function whySaid({ doing, why }: Pick<BlockData, "doing" | "why">): string {
  const isReason = doing !== "warm-up" && doing !== "check" && doing !== "rest";
  return isReason ? `Because ${why}.` : `${why[0]!.toUpperCase()}${why.slice(1)}${why.endsWith("?") ? "" : "."}`;
}

export function minutesSaid(minutes: number): string {
  return `${minutes} ${minutes === 1 ? "minute" : "minutes"}`;
}

/** How plays are counted without the hands leaving the piano. */
export const KEYS_SAID =
  "Space, Enter, Page Down or the pedal: good. Backspace, Page Up or the lowest key: not good. Pedal and lowest key count in silence only.";
