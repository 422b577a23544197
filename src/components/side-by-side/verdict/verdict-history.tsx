import { format, parseISO } from "date-fns";
import type { OptionData, VerdictData } from "@/server/types";

interface Props {
  readonly events: readonly VerdictData[];
  readonly options: readonly OptionData[];
  /** Whether one is taken now: then that is shown elsewhere. */
  readonly isTaken: boolean;
}

/** What was said before, newest first; nothing is ever taken back. */
export function VerdictHistory({ events, options, isTaken }: Props) {
  const now = isTaken ? events.findLastIndex((e) => e.kind === "taken") : -1;
  const earlier = events.filter((_, i) => i !== now).reverse();
  if (earlier.length === 0) return null;
  return (
    <ol aria-label="Earlier verdicts" className="text-sm text-soft">
      {earlier.map((event, i) => (
        <li key={i} className="border-t border-hairline py-1">
          {format(parseISO(event.at), "d MMM, HH:mm")}: {said(event, options)}
        </li>
      ))}
    </ol>
  );
}

function said({ kind, fingeringId, reason, decideOn }: VerdictData, options: readonly OptionData[]): string {
  const name = options.find((o) => o.id === fingeringId)?.name ?? "none";
  switch (kind) {
    case "taken":
      return `${name} taken, ${reason}`;
    case "undecided":
      return `left open until ${decideOn ? format(parseISO(decideOn), "d MMM") : "?"}`;
    case "reviewed":
      return `looked at again, ${reason || "kept"}`;
    case "reopened":
      return "reopened";
    case "known":
      return fingeringId ? `${name} is in the fingers` : "nothing is in the fingers";
  }
}
