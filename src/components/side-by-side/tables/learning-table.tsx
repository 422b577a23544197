import { counted } from "@/core/counted";
import { format, parseISO } from "date-fns";
import { useMemo } from "react";
import type { Study } from "@/core/fingering/study/study";
import type { Day } from "@/core/time/days";
import { learningPrice, type LearningPrice } from "@/core/verdict/learning-price";
import type { PassageData } from "@/server/types";
import { INPUT_LOOK } from "../../ui/field";
import type { VerdictInHand } from "../verdict/use-verdict";

interface Props {
  readonly data: PassageData;
  readonly study: Study;
  readonly inHand: VerdictInHand;
}

/** What each option costs to learn, against what is in the fingers now, with the last sensible day for a change. */
export function LearningTable({ data, study, inHand: { known, say } }: Props) {
  const { options, today } = data;
  const concert = (data.recital?.heldOn ?? null) as Day | null;
  const now = options.find((o) => o.id === known) ?? null;
  const prices = useMemo(
    () => options.map((o) => learningPrice(study, now?.digits ?? null, o.digits, today, concert)),
    [options, study, now, today, concert],
  );
  const fallback = now ?? options[prices.reduce((best, p, i) => (p.days < prices[best]!.days ? i : best), 0)];
  return (
    <section aria-label="Price in learning" className="text-sm">
      <div className="flex flex-wrap items-center justify-between gap-2">
        <h3 className="font-serif text-lg">Price in learning</h3>
        <label className="flex items-center gap-2 text-soft">
          In the fingers now
          <select
            value={now?.id ?? ""}
            onChange={(event) => say({ kind: "known", fingeringId: event.target.value || null })}
            className={`${INPUT_LOOK} text-ink`}
          >
            <option value="">nothing yet</option>
            {options.map((o) => (
              <option key={o.id} value={o.id}>
                {o.name}
              </option>
            ))}
          </select>
        </label>
      </div>
      <ul>
        {options.map((option, i) => (
          <li key={option.id} className="grid grid-cols-[1.6rem_1fr] items-baseline border-t border-hairline py-1">
            <span className="font-serif text-base italic">{option.name}</span>
            <span>{priceText(prices[i]!)}</span>
          </li>
        ))}
      </ul>
      {fallback && options.length > 1 && (
        <p className="border-t border-hairline pt-1 text-soft">
          If it does not hold: fall back on{" "}
          <span className="font-serif text-base text-ink italic">{fallback.name}</span>,{" "}
          {now ? "which is in the fingers" : "the quickest to learn"}.
        </p>
      )}
    </section>
  );
}

/** What an option costs to learn, in words. */
export function priceText({ notes, digits, joins, newJoins, unlearns, days, lastDay, tooLate }: LearningPrice): string {
  if (digits === 0) return "in the fingers: nothing new";
  const what = `${digits} of ${counted(notes, "finger")} and ${newJoins} of ${counted(joins, "join")} new`;
  const habits = unlearns ? ", against an old habit" : "";
  const when =
    lastDay === null
      ? ""
      : tooLate
        ? `; too late to begin safely since ${format(parseISO(lastDay), "d MMM")}`
        : `; begin by ${format(parseISO(lastDay), "d MMM")}`;
  return `${what}; about ${counted(days, "day")} of practice${habits}${when}`;
}
