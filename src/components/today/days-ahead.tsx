"use client";

import { format, parseISO } from "date-fns";
import { useState } from "react";
import { lookAhead } from "@/server/actions/practice";
import type { DayAheadData } from "@/server/types";
import { ask } from "../keeping/ask";
import { DOING_SAID, minutesSaid } from "../practice/said";

/** The days to come as they would be planned; worked out when they are asked for. */
export function DaysAhead({ playerId }: { readonly playerId: string }) {
  const [days, setDays] = useState<readonly DayAheadData[] | null>(null);
  const look = async (): Promise<void> => {
    const found = await ask("today", () => lookAhead({ playerId }));
    if (found) setDays(found);
  };
  return (
    <details onToggle={({ currentTarget }) => currentTarget.open && void look()}>
      <summary className="min-h-11 cursor-pointer py-2.5 underline">The days to come</summary>
      {days === null ? (
        <p role="status" className="text-soft">
          Working out the days…
        </p>
      ) : days.length === 0 ? (
        <p>Your week has no time for practice in it.</p>
      ) : (
        <ol className="max-h-96 overflow-y-auto" tabIndex={0} aria-label="The days to come">
          {days.map(({ day, minutes, blocks }) => (
            <li key={day} className="border-t border-hairline py-1">
              <p className="font-medium">
                {format(parseISO(day), "EEE d MMM")} <span className="text-soft">{minutesSaid(minutes)}</span>
              </p>
              {blocks.length === 0 && <p className="text-soft">Nothing wants practice.</p>}
              {blocks.map(({ doing, title }, i) => (
                <p key={i}>
                  {DOING_SAID[doing]}: {title}
                </p>
              ))}
            </li>
          ))}
        </ol>
      )}
    </details>
  );
}
