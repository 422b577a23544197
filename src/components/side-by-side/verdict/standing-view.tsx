"use client";

import { counted } from "@/core/counted";
import { format, parseISO } from "date-fns";
import { useState } from "react";
import { daysBetween, type Day } from "@/core/time/days";
import { deadlineFor } from "@/core/verdict/deadline";
import { trialPlan } from "@/core/verdict/trial-plan";
import type { Study } from "@/core/fingering/study/study";
import { DECIDING } from "@/core/physics";
import { progressOf } from "@/core/trials/progress";
import type { TakeOfTrial } from "@/core/verdict/trial-done";
import type { PassageData, TakeData } from "@/server/types";
import { isOwn } from "../../trials/own-takes";
import { dayOfTake, triedOn } from "../../trials/tried-on";
import { RunnerUp } from "./runner-up";
import { Button } from "../../ui/button";
import { INPUT_LOOK } from "../../ui/field";
import { TrialDays } from "./trial-days";
import type { VerdictInHand } from "./use-verdict";

interface Props {
  readonly data: PassageData;
  readonly study: Study;
  readonly inHand: VerdictInHand;
  /** The player's own takes of the passage, newest first. */
  readonly takes: readonly TakeData[];
}

/** How the passage stands: not decided, to be decided by a day, or taken, with what comes next. */
export function StandingView({ data, study, inHand, takes }: Props) {
  const { standing } = inHand;
  if (standing.state === "taken") return <Taken data={data} study={study} inHand={inHand} takes={takes} />;
  const plan =
    standing.state === "undecided"
      ? trialPlan(
          daysBetween(standing.since, data.today) < DECIDING.daysWritten ? standing.since : data.today,
          standing.decideOn,
          data.options.map((o) => o.name),
          data.study.manner.tempo,
        )
      : [];
  return (
    <div className="border-l-2 border-hairline pl-3 text-sm">
      {standing.state === "undecided" ? (
        <p className="text-base">
          To be decided by <strong>{format(parseISO(standing.decideOn), "d MMMM")}</strong>,{" "}
          {daysText(standing.daysLeft)}.
        </p>
      ) : (
        <p>Not decided. Learning starts when one is taken; set a day, and try all of them until then.</p>
      )}
      <DeadlineForm data={data} inHand={inHand} />
      {plan.length > 0 && data.halt === null && (
        <TrialDays plan={plan} today={data.today} takes={takesOfTrial(data, takes)} />
      )}
    </div>
  );
}

function daysText(days: number): string {
  if (days < 0) return `${-days} ${days === -1 ? "day" : "days"} ago`;
  return days === 0 ? "today" : `in ${days} ${days === 1 ? "day" : "days"}`;
}

/** The day by which to decide: offered from the days left to the concert, and the player's to change. */
function DeadlineForm({ data, inHand }: Pick<Props, "data" | "inHand">) {
  const concert = (data.recital?.heldOn ?? null) as Day | null;
  const [decideOn, setDecideOn] = useState<string>(deadlineFor(data.today, concert));
  const { standing } = inHand;
  const left = concert ? daysBetween(data.today, concert) : null;
  return (
    <form
      className="mt-2 flex flex-wrap items-end gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (!decideOn) return inHand.complain("Choose the day by which to decide.");
        void inHand.say({ kind: "undecided", decideOn: decideOn as Day });
      }}
    >
      <label className="flex flex-col gap-1 text-soft">
        {standing.state === "undecided" ? "Another day" : "Decide by"}
        <input
          type="date"
          value={decideOn}
          min={data.today}
          onChange={(event) => setDecideOn(event.target.value)}
          className={`${INPUT_LOOK} text-ink`}
        />
      </label>
      <Button type="submit">{standing.state === "undecided" ? "Move it there" : "Leave it open until then"}</Button>
      {left !== null && left > 0 && standing.state === "open" && (
        <p className="w-full text-soft">Offered from what is left to the concert: {counted(left, "day")}.</p>
      )}
    </form>
  );
}

function Taken({ data, study, inHand, takes }: Props) {
  const { events, standing, practisedToday } = inHand;
  const taken = events.findLast((e) => e.kind === "taken");
  if (standing.state !== "taken" || !taken) return null;
  const name = data.options.find((o) => o.id === standing.fingeringId)?.name ?? "?";
  const progress = progressOf(takes.filter((t) => t.fingeringId === standing.fingeringId && isOwn(t)).map(triedOn));
  return (
    <div className="border-l-2 border-velvet pl-3">
      <p>
        Option <span className="font-serif text-lg italic">{name}</span> is taken.
      </p>
      <p className="font-serif italic">{taken.reason}</p>
      <p className="text-sm text-soft">
        {taken.author}, {format(parseISO(taken.at), "d MMM yyyy, HH:mm")}
      </p>
      {standing.reviewIn !== null && (
        <p className="mt-2 text-sm" role={standing.reviewIn === 0 ? "status" : undefined}>
          {standing.reviewIn === 0
            ? `Practised on ${counted(standing.practised, "day")}: time to look at it again. If the spot has not improved, change the fingering.`
            : `Practised on ${counted(standing.practised, "day")}; to be looked at again after ${standing.reviewIn} more.`}
        </p>
      )}
      {progress.kind === "told" && !progress.improves && (
        <RunnerUp data={data} study={study} taken={standing.fingeringId} known={inHand.known} />
      )}
      <div className="mt-2 flex flex-wrap gap-2">
        <Button
          aria-pressed={practisedToday}
          onClick={() => inHand.practise(!practisedToday)}
          className="aria-pressed:border-velvet! aria-pressed:text-velvet!"
        >
          Practised today
        </Button>
        {standing.reviewIn === 0 && (
          <Button onClick={() => inHand.say({ kind: "reviewed", reason: "Kept.", reviewAfter: taken.reviewAfter })}>
            It has improved: keep it
          </Button>
        )}
        <Button onClick={() => inHand.say({ kind: "reopened" })}>Reopen</Button>
      </div>
    </div>
  );
}

/** What was tried of a passage, as its trial plan counts it. */
function takesOfTrial({ options }: PassageData, takes: readonly TakeData[]): readonly TakeOfTrial[] {
  const names = new Map(options.map(({ id, name }) => [id, name]));
  return takes.flatMap((take) => {
    const option = names.get(take.fingeringId);
    if (option === undefined || take.source === "simulated piano") return [];
    return [{ option, day: dayOfTake(take), tempo: take.tempo, isSnip: take.snip !== null, clean: take.clean }];
  });
}
