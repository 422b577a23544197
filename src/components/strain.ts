import { COMFORT } from "@/core/physics";

/** How strain is shown: felt up to half of comfort, brass up to the widest, vermilion beyond; height says it again. */
export type Tone = "ease" | "work" | "strain";

export function toneOf(strain: number): Tone {
  if (strain <= COMFORT / 2) return "ease";
  return strain <= 2 * COMFORT ? "work" : "strain";
}

export const TONE_COLOUR: Readonly<Record<Tone, string>> = {
  ease: "var(--felt)",
  work: "var(--brass)",
  strain: "var(--vermilion)",
};

/** Share of a band's height; the band ends a little beyond the widest, where more would say nothing new. */
export function heightShare(strain: number): number {
  return Math.min(1, strain / (2.4 * COMFORT));
}

export function strainText(strain: number): string {
  return strain.toFixed(1);
}
