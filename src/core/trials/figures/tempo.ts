import { medianOf } from "../statistics";
import type { TakeFigure } from "./figure";

/** The tempo that was reached: the middle one from onset to onset, and bar by bar as it ran. */
export const tempo: TakeFigure = {
  id: "tempo",
  label: "Tempo reached",
  unit: "quarter notes a minute",
  find({ struck }) {
    const steps = struck.slice(1).flatMap((now, i) => {
      const quarters = now.expected.at - struck[i]!.expected.at;
      const ms = now.ms - struck[i]!.ms;
      return quarters > 0 && ms > 0 ? [{ bar: now.expected.bar, tempo: (60_000 * quarters) / ms }] : [];
    });
    if (steps.length === 0) return null;
    const bars = [...new Set(steps.map(({ bar }) => bar))];
    const of = (bar: string): number => medianOf(steps.filter((step) => step.bar === bar).map((step) => step.tempo));
    return {
      amount: medianOf(steps.map((step) => step.tempo)),
      places: [],
      parts: Object.fromEntries(bars.map((bar) => [bar, of(bar)])),
    };
  },
};
