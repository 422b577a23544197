"use client";

import { useState } from "react";
import { toast } from "sonner";
import { DAY_PLAN, DOSE } from "@/core/physics";
import { practiseLike } from "@/server/actions/practice";
import type { PracticeSettings } from "@/server/types";
import { useAsk } from "../keeping/ask";
import { Button } from "../ui/button";
import { Choice } from "../ui/choice";
import { NumberField } from "../ui/number-field";

const DAYS = ["Mon", "Tue", "Wed", "Thu", "Fri", "Sat", "Sun"] as const;
const [, MOST] = DAY_PLAN.range;

interface Props {
  readonly playerId: string;
  readonly settings: PracticeSettings;
}

/** The week, the school and the limit for wide openings: all the player's own. */
export function HowIPractise({ playerId, settings }: Props) {
  const [week, setWeek] = useState<readonly string[]>(settings.week.map(String));
  const [school, setSchool] = useState(settings.school);
  const [limit, setLimit] = useState(settings.doseLimit === null ? "" : String(settings.doseLimit));
  const { busy, ask } = useAsk("today");
  const minutes = week.map(Number);
  const isWeekWrong = !minutes.every((one) => Number.isInteger(one) && one >= 0 && one <= MOST);
  const doseLimit = limit.trim() === "" ? null : Number(limit);
  const isLimitWrong = doseLimit !== null && !(doseLimit >= DOSE.range[0] && doseLimit <= DOSE.range[1]);
  const keep = async (): Promise<void> => {
    const answer = await ask(() => practiseLike({ playerId, week: minutes, school, doseLimit }));
    if (answer.ok) toast("Kept. It counts from the next plan on.");
    else toast.error(answer.message);
  };
  return (
    <details>
      <summary className="min-h-11 cursor-pointer py-2.5 underline">How I practise</summary>
      <form
        className="flex flex-col gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          if (!isWeekWrong && !isLimitWrong) void keep();
        }}
      >
        <fieldset>
          <legend>Minutes that the week allows</legend>
          <div className="grid grid-cols-4 gap-1">
            {DAYS.map((day, i) => (
              <NumberField
                key={day}
                label={day}
                className="w-full"
                value={week[i] ?? "0"}
                onChange={({ target }) => setWeek(week.map((one, k) => (k === i ? target.value : one)))}
              />
            ))}
          </div>
          {isWeekWrong && <p role="alert">Whole minutes from 0 to {MOST} for each day, please.</p>}
        </fieldset>
        <Choice
          label="Warm up"
          value={school.basis}
          options={[
            ["exercises", "exercises"],
            ["passage", "passage"],
          ]}
          onChange={(basis) => setSchool({ ...school, basis })}
        />
        <Choice
          label="Begin with"
          value={school.movement}
          options={[
            ["slow", "slow"],
            ["snips", "snips early"],
          ]}
          onChange={(movement) => setSchool({ ...school, movement })}
        />
        <NumberField
          label="Wide openings a day, mm times minutes"
          error={isLimitWrong ? `From ${DOSE.range[0]} to ${DOSE.range[1]}, or nothing.` : undefined}
          value={limit}
          onChange={({ target }) => setLimit(target.value)}
        />
        <p className="text-soft">It is never raised for you, and lowered for a while after anything hurt.</p>
        <Button type="submit" disabled={busy || isWeekWrong || isLimitWrong}>
          Keep
        </Button>
      </form>
    </details>
  );
}
