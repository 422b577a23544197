"use client";

import { counted } from "@/core/counted";
import { format, parseISO } from "date-fns";
import { clickAt, NOTCHES, type Notch } from "@/core/practice/ladder";
import type { Day } from "@/core/time/days";
import { Button } from "../ui/button";
import { Choice } from "../ui/choice";
import type { LadderInHand } from "./use-ladder";

const NOTCH_NAMES: Readonly<Record<Notch, string>> = { clockwork: "a figure", share: "4 %", five: "5 beats" };

/** The ladder of tempi: up after a play that was clean and easy, down after two that were not. */
export function LadderPanel({ ladder }: { readonly ladder: LadderInHand }) {
  const { tempo, target, misses, notch, sensible } = ladder;
  return (
    <section aria-label="Ladder">
      <h2 className="font-serif text-lg">Ladder</h2>
      <p role="status">
        <span className="font-serif text-3xl tabular-nums">♩ = {Math.round(tempo)}</span>{" "}
        <span className="text-soft">
          of {Math.round(target)}; {clickSaid(tempo)}
        </span>
      </p>
      <div className="mt-1 flex flex-wrap gap-1">
        <Button onClick={() => ladder.played({ clean: true, easy: true })}>Clean and easy</Button>
        <Button onClick={() => ladder.played({ clean: false, easy: false })}>Not yet</Button>
        <Button look="quiet" onClick={ladder.slower}>
          A notch slower
        </Button>
      </div>
      <p className="min-h-5 text-soft">
        {misses > 0
          ? "Once more that is not clean and easy, and it goes a notch down."
          : sensible !== null && tempo > sensible
            ? `It has broken at about ♩ = ${Math.round(sensible)} so far: today is sensible up to there.`
            : ""}
      </p>
      <Choice
        label="Notch"
        value={notch}
        options={NOTCHES.map((one) => [one, NOTCH_NAMES[one]] as const)}
        onChange={ladder.takeNotch}
      />
      <WayToConcert ladder={ladder} />
    </section>
  );
}

/** "click 96, every 2 quarters". */
export function clickSaid(tempo: number): string {
  const { figure, quarters } = clickAt(tempo);
  const each = quarters === 1 ? "" : quarters < 1 ? `, ${1 / quarters} to a quarter` : `, every ${quarters} quarters`;
  return `click ${Math.round(figure)}${each}`;
}

/** The notches to the concert, and what else there is where the player's own gain is not enough. */
function WayToConcert({ ladder: { way, target, lastChange } }: { readonly ladder: LadderInHand }) {
  if (!way) return null;
  const gain = Math.round(10 * way.gain) / 10;
  return (
    <details>
      <summary className="min-h-11 cursor-pointer py-2.5 underline">The way to the concert</summary>
      <p>
        {way.reaches
          ? `♩ = ${Math.round(target)} can be there in ${counted(way.on.length, "day")} of practice`
          : `At this rate it comes to ♩ = ${Math.round(way.instead!.tempo)} by then, not to ${Math.round(target)}`}
        {`, at ${gain} a day${way.isOwnGain ? ", your own gain so far" : " (a starting value until your own is known)"}.`}
      </p>
      {way.instead && (
        <p>
          What else there is: ♩ = {Math.round(way.instead.tempo)} as the target; an easier option on the Bench;{" "}
          {Number.isFinite(way.instead.days)
            ? `or ${counted(way.instead.days, "day")} of practice.`
            : "or another fingering."}
        </p>
      )}
      {lastChange && <p>{changeSaid(lastChange, way.on[0]!)}</p>}
      <ol className="mt-1 grid grid-cols-2 gap-x-3" aria-label="Tempo of each day">
        {way.on.slice(0, SHOWN).map((day, i) => (
          <li key={day} className="flex justify-between border-t border-hairline tabular-nums">
            <span>{format(parseISO(day), "EEE d MMM")}</span> <span>{Math.round(way.days[i]!)}</span>
          </li>
        ))}
      </ol>
      {way.on.length > SHOWN && <p className="text-soft">And {counted(way.on.length - SHOWN, "day")} more.</p>}
    </details>
  );
}

/** Until when another fingering could be begun before the concert. */
export function changeSaid(lastChange: Day, today: Day): string {
  return lastChange < today
    ? "It is too late to begin another fingering safely before the concert."
    : `Another fingering would have to be begun by ${format(parseISO(lastChange), "d MMMM")}.`;
}

/** Days of the way that are listed. */
const SHOWN = 14;
