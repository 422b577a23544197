"use client";

import { useState } from "react";
import { DAY_PLAN } from "@/core/physics";
import { weekdayOf } from "@/core/time/days";
import type { TodayData } from "@/server/types";
import { Button } from "../ui/button";
import { NumberField } from "../ui/number-field";

interface Props {
  readonly today: TodayData;
  readonly busy: boolean;
  readonly onPlan: (minutes: number, isCold: boolean) => Promise<void>;
}

const [LEAST, MOST] = DAY_PLAN.range;

/** The time there is today, and whether it is cold: all that a day is planned from besides what is known already. */
export function PlanForm({ today: { plan, settings, day }, busy, onPlan }: Props) {
  const usual = settings.week[weekdayOf(day)] ?? 0;
  const [given, give] = useState(String(plan?.minutes ?? (usual >= LEAST ? usual : "")));
  const [isCold, setIsCold] = useState(plan?.isCold ?? false);
  const minutes = Number(given);
  const isWrong = given.trim() !== "" && !(Number.isInteger(minutes) && minutes >= LEAST && minutes <= MOST);
  return (
    <form
      aria-label="Plan the day"
      onSubmit={(event) => {
        event.preventDefault();
        if (!isWrong && given.trim() !== "") void onPlan(minutes, isCold);
      }}
    >
      <div className="flex flex-wrap items-end gap-x-4 gap-y-2">
        <NumberField
          label="Minutes today"
          className="w-24"
          error={isWrong ? `Whole minutes from ${LEAST} to ${MOST}, please.` : undefined}
          value={given}
          onChange={({ target }) => give(target.value)}
        />
        <label className="flex min-h-11 items-center gap-2">
          <input type="checkbox" checked={isCold} onChange={({ target }) => setIsCold(target.checked)} /> It is cold
        </label>
        <Button type="submit" look={plan ? "plain" : "main"} disabled={busy || isWrong || given.trim() === ""}>
          {plan ? "Plan what is left anew" : "Plan the day"}
        </Button>
      </div>
    </form>
  );
}
