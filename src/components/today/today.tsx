"use client";

import { format, parseISO } from "date-fns";
import type { TodayData } from "@/server/types";
import { DayList } from "./day-list";
import { DaysAhead } from "./days-ahead";
import { DoseToday } from "./dose-today";
import { NextBlock } from "./next-block";
import { PlanForm } from "./plan-form";
import { HowIPractise } from "./how-i-practise";
import { minutesSaid } from "../practice/said";
import { useToday } from "./use-today";

/** What do I do now? The day's plan, its next block, and one key to begin. */
export function Today({ data, children }: { readonly data: TodayData; readonly children?: React.ReactNode }) {
  const { today, busy, plan, change } = useToday(data);
  const { halt, settings, dose } = today;
  const blocks = today.plan?.blocks ?? [];
  const next = blocks.find(({ state }) => state === "planned");
  const done = blocks.reduce((sum, block) => sum + (block.done?.minutes ?? 0), 0);
  const form = <PlanForm key={today.day} today={today} busy={busy} onPlan={plan} />;
  return (
    <section aria-label="Today" className="border-b border-hairline pb-4">
      <h1 className="border-b border-hairline pb-2 font-serif text-3xl">
        Today <span className="text-xl text-soft italic">{format(parseISO(today.day), "EEEE d MMMM")}</span>
      </h1>
      {children}
      {halt ? (
        <p role="status" className="mt-3 max-w-prose">
          You stopped because of {halt.sign}, on {format(parseISO(halt.since), "d MMMM")}. Nothing is planned until you
          say on the Bench that you are playing again. If it stays, or comes back, see a clinician who treats musicians.
        </p>
      ) : (
        <div className="mt-3 grid gap-x-8 gap-y-3 md:grid-cols-[1fr_17rem]">
          <div className="min-w-0">
            {!today.plan && form}
            {next && (
              <NextBlock
                block={next}
                isTense={wasTense(blocks)}
                busy={busy}
                onChange={(made) => change(next.id, made)}
              />
            )}
            {today.plan && blocks.length === 0 && <Nothing plan={today.plan} />}
            {today.plan && !next && blocks.length > 0 && (
              <p role="status">
                That was it for today: {minutesSaid(done)}. Whatever was left out comes back by itself.
              </p>
            )}
            {today.plan && blocks.length > 0 && (
              <DayList blocks={blocks} doneMinutes={done} isCold={today.plan.isCold} busy={busy} onChange={change} />
            )}
            <Hindered plan={today.plan} />
          </div>
          <div className="flex flex-col gap-3 text-sm">
            {today.plan && form}
            <DoseToday dose={dose} isOwn={settings.doseLimit !== null} />
            <DaysAhead playerId={today.playerId} />
            <HowIPractise playerId={today.playerId} settings={settings} />
          </div>
        </div>
      )}
    </section>
  );
}

/** Whether the player said of the last block done that the hands were not loose. */
function wasTense(blocks: NonNullable<TodayData["plan"]>["blocks"]): boolean {
  return blocks.findLast(({ done }) => done !== null)?.done?.loose === false;
}

function Nothing({ plan }: { readonly plan: NonNullable<TodayData["plan"]> }) {
  return (
    <p role="status">
      {plan.hindered.length > 0
        ? "Nothing can be practised today."
        : "There is nothing to plan: no passage of yours wants practice in the time there is, or your hands have opened wide enough for today."}
    </p>
  );
}

function Hindered({ plan }: { readonly plan: TodayData["plan"] }) {
  if (!plan || plan.hindered.length === 0) return null;
  return (
    <ul className="mt-2 text-sm text-soft">
      {plan.hindered.map(({ title, why }) => (
        <li key={title}>
          Left out: <span className="font-serif italic">{title}</span>, {why}.
        </li>
      ))}
    </ul>
  );
}
