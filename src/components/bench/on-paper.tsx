import { SIGNS } from "@/core/motion/signs";
import { SignLegend } from "../plan/sign-legend";
import type { BenchInHand } from "./use-bench";

/** What a printed page needs and a screen does not: whose digits these are, and what the signs on it mean. */
export function OnPaper({ bench: { shown, tempo, planShown, settings } }: { bench: BenchInHand }) {
  if (!shown) return null;
  const { drawn } = planShown;
  const seen = new Set<string>(drawn?.signs.map(({ sign }) => sign));
  const signs = SIGNS.filter(({ id }) => seen.has(id));
  const name = shown.option.author ?? `option ${shown.option.name}`;
  return (
    <div className="mt-4 hidden text-xs print:block">
      <p>
        Digits of {name}, ♩ = {tempo.tempo}.
        {drawn && drawn.lanes.length > 0 && " Dotted in the lanes: the limits of these hands."}
        {settings.layout === "line" && " One long line is cut where the paper ends; View wraps it."}
      </p>
      {signs.length > 0 && <SignLegend signs={signs} />}
    </div>
  );
}
