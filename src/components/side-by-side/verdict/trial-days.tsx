import { format, parseISO } from "date-fns";
import type { Day } from "@/core/time/days";
import { doneOn, type AttemptDone, type TakeOfTrial } from "@/core/verdict/trial-done";
import type { Attempt, TrialDay } from "@/core/verdict/trial-plan";

interface Props {
  readonly plan: readonly TrialDay[];
  readonly today: Day;
  /** What was played of the passage. */
  readonly takes: readonly TakeOfTrial[];
}

/** What to try on each day until the deadline; today open, the others to be opened. */
export function TrialDays({ plan, today, takes }: Props) {
  return (
    <ol aria-label="What to try until then" className="mt-2">
      {plan
        .map((asked) => ({ ...asked, done: doneOn(asked, takes) }))
        .map(({ day, options, attempts, done }) => (
          <li key={day} className="border-t border-hairline">
            <details open={day === today}>
              <summary className="flex min-h-9 cursor-pointer items-center gap-2">
                <span className={day === today ? "font-semibold" : ""}>
                  {day === today ? "Today" : format(parseISO(day), "EEE d MMM")}
                </span>
                <span className="font-serif text-base italic">{options.join(", then ")}</span>
                {day <= today && <span className="ml-auto text-soft">{countOf(done)}</span>}
              </summary>
              <ul className="pb-2 pl-3">
                {attempts.map((attempt, i) => (
                  <li key={attempt.kind}>
                    {attemptText(attempt)}
                    {day <= today && <span className="text-soft">: {doneText(done[i]!)}</span>}
                  </li>
                ))}
              </ul>
            </details>
          </li>
        ))}
    </ol>
  );
}

/** "2 of 3 done". */
function countOf(done: readonly AttemptDone[]): string {
  return `${done.filter(({ options, of }) => options >= of).length} of ${done.length} done`;
}

function doneText({ options, of, takes, clean }: AttemptDone): string {
  if (takes === 0) return "not yet";
  const which = of > 1 ? `${options} of ${of} options, ` : "";
  return `${which}${clean} of ${takes} clean`;
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
