import { SIGNS } from "@/core/motion/marks/signs";
import { WATCHED } from "@/core/motion/hand/watch";
import { SignLegend } from "../plan/signs/sign-legend";
import type { BenchInHand } from "./use-bench";

/** What a printed page needs and a screen does not: whose digits these are, and what the signs on it mean. */
export function OnPaper({ bench: { shown, tempo, planShown, settings } }: { bench: BenchInHand }) {
  if (!shown) return null;
  const { drawn } = planShown;
  const seen = new Set<string>(drawn?.signs.map(({ sign }) => sign));
  const signs = SIGNS.filter(({ id }) => seen.has(id));
  const { watched: seenByEye } = planShown.inHand.marks;
  const watched = WATCHED.filter(({ id }) => seenByEye.includes(id)).map(({ words }) => words.toLowerCase());
  const name = shown.option.author ?? `option ${shown.option.name}`;
  return (
    <div className="mt-4 hidden text-xs print:block">
      <p>
        Digits of {name}, ♩ = {tempo.tempo}.
        {drawn && drawn.lanes.length > 0 && " Dotted in the lanes: the limits of these hands."}
        {settings.layout === "line" && " One long line is cut where the paper ends; View wraps it."}
      </p>
      {drawn && watched.length > 0 && <p>To watch: {watched.join("; ")}.</p>}
      {signs.length > 0 && <SignLegend signs={signs} />}
    </div>
  );
}
