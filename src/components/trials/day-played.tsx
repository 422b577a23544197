"use client";

import { startOfDay } from "date-fns";
import { useEffect, useState } from "react";
import { DAY_LIMIT } from "@/core/physics";
import { sayDay, type DayPlayed as Day } from "@/core/trials/day-limit";
import { dayOfPlayer, limitDay } from "@/server/actions";
import { ask } from "../keeping/ask";
import { Button } from "../ui/button";
import { NumberField } from "../ui/number-field";

interface Props {
  readonly playerId: string;
  /** Changes whenever there is more to count. */
  readonly counted: string;
}

/** How much was played today, and the limit that is the player's own. */
export function DayPlayed({ playerId, counted }: Props) {
  const [day, setDay] = useState<Day | null>(null);
  const [given, give] = useState<string | null>(null);
  useEffect(() => {
    const asked = { playerId, since: startOfDay(new Date()).toISOString() };
    let isWanted = true;
    void ask(`day ${playerId}`, () => dayOfPlayer(asked)).then((found) => found && isWanted && setDay(found));
    return () => {
      isWanted = false;
    };
  }, [playerId, counted]);
  if (!day) return null;
  const written = given ?? (day.own === null ? "" : String(day.own));
  const minutes = written.trim() === "" ? null : Number(written);
  const [least, most] = DAY_LIMIT.range;
  const isWrong = minutes !== null && !(Number.isInteger(minutes) && minutes >= least && minutes <= most);
  const keep = async (): Promise<void> => {
    const kept = await ask(`day ${playerId}`, () => limitDay({ playerId, minutes }));
    if (kept) setDay({ ...day, own: kept.minutes });
  };
  return (
    <section aria-label="Today" className="text-sm">
      <p>{sayDay(day)}</p>
      <details>
        <summary className="min-h-11 cursor-pointer py-2.5 underline">My limit for a day</summary>
        <form
          className="flex items-end gap-2"
          onSubmit={(event) => {
            event.preventDefault();
            if (!isWrong) void keep();
          }}
        >
          <NumberField
            label="Minutes of takes, none for no limit"
            error={isWrong ? `Whole minutes from ${least} to ${most}, please.` : undefined}
            value={written}
            onChange={({ target }) => give(target.value)}
          />
          <Button type="submit" disabled={isWrong}>
            Keep
          </Button>
        </form>
      </details>
    </section>
  );
}
