import { format, parseISO } from "date-fns";
import type { Day } from "@/core/time/days";
import type { Attempt, TrialDay } from "@/core/verdict/trial-plan";

/** What to try on each day until the deadline; today open, the others to be opened. */
export function TrialDays({ plan, today }: { plan: readonly TrialDay[]; today: Day }) {
  return (
    <ol aria-label="What to try until then" className="mt-2">
      {plan.map(({ day, options, attempts }) => (
        <li key={day} className="border-t border-hairline">
          <details open={day === today}>
            <summary className="flex min-h-9 cursor-pointer items-center gap-2">
              <span className={day === today ? "font-semibold" : ""}>
                {day === today ? "Today" : format(parseISO(day), "EEE d MMM")}
              </span>
              <span className="font-serif text-base italic">{options.join(", then ")}</span>
            </summary>
            <ul className="pb-2 pl-3">
              {attempts.map((attempt) => (
                <li key={attempt.kind}>{attemptText(attempt)}</li>
              ))}
            </ul>
          </details>
        </li>
      ))}
    </ol>
  );
}

const WHAT: Record<Attempt["kind"], string> = {
  slow: "slowly, to calculate",
  middle: "at a middle tempo",
  snips: "snips of two to five notes about the joins, with a rest between them",
  whole: "each of them whole, twice, then decide",
};

function attemptText({ kind, tempo }: Attempt): string {
  return `♩ = ${tempo}, ${WHAT[kind]}`;
}
