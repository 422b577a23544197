import { format, parseISO } from "date-fns";
import { SIDES } from "@/core/hand/finger";
import type { DoseToday as Data } from "@/server/types";

interface Props {
  readonly dose: Data;
  /** Whether the limit is one that the player has said. */
  readonly isOwn: boolean;
}

/** What wide openings have cost each hand today, of what there is. */
export function DoseToday({ dose: { spent, limit, steps }, isOwn }: Props) {
  return (
    <section aria-label="Wide openings today">
      <h2 className="font-serif text-lg">Wide openings today</h2>
      <ul>
        {SIDES.map((side) => (
          <li key={side} className="grid grid-cols-[3rem_1fr_auto] items-center gap-2">
            <span>{side}</span>
            <span className="h-2 border border-hairline" aria-hidden>
              <span
                className="block h-full bg-velvet"
                style={{ width: `${Math.min(100, (100 * spent[side]) / Math.max(limit, 1e-9))}%` }}
              />
            </span>
            <span className="tabular-nums">
              {round(spent[side])} of {round(limit)}
            </span>
          </li>
        ))}
      </ul>
      <p className="text-soft">
        mm beyond comfort times minutes{isOwn ? "" : "; a starting value until you say your own"}.
        {steps.length > 0 &&
          ` It comes back by steps: ${steps.map(({ on, share }) => `${Math.round(share * 100)} % on ${format(parseISO(on), "d MMM")}`).join(", ")}.`}
      </p>
    </section>
  );
}

function round(amount: number): string {
  return amount < 10 ? String(Math.round(10 * amount) / 10) : String(Math.round(amount));
}
