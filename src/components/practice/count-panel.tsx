"use client";

import { useState } from "react";
import { useHotkeys } from "react-hotkeys-hook";
import { COUNT_BEFORE } from "@/core/physics";
import { counted, countForecast, sayForecast } from "@/core/practice/count";
import type { TakeData } from "@/server/types";
import { Button } from "../ui/button";
import { NumberField } from "../ui/number-field";

interface Props {
  /** s that one play takes. */
  readonly seconds: number;
  /** Takes that the player's own rate is read from. */
  readonly takes: readonly TakeData[];
}

const MOST = 30;

/** The count with honesty: each bad play gives one back. Space counts a good one, Backspace a bad one; a foot switch types either. */
export function CountPanel({ seconds, takes }: Props) {
  const [wanted, setWanted] = useState("5");
  const [plays, setPlays] = useState<readonly boolean[]>([]);
  const count = plays.reduce(counted, 0);
  const goal = Number(wanted);
  const isWrong = !(Number.isInteger(goal) && goal >= 1 && goal <= MOST);
  const good = COUNT_BEFORE.good + plays.filter(Boolean).length + takes.filter(({ clean }) => clean).length;
  const rate = good / (COUNT_BEFORE.all + plays.length + takes.length);
  const play = (isGood: boolean): void => {
    if (count < goal) setPlays([...plays, isGood]);
  };
  useHotkeys("space", () => play(true), { preventDefault: true });
  useHotkeys("backspace", () => play(false), { preventDefault: true });
  return (
    <section aria-label="Count">
      <h2 className="font-serif text-lg">Count</h2>
      <p role="status">
        <span className="font-serif text-3xl tabular-nums">{count}</span>{" "}
        <span className="text-soft">
          of {isWrong ? "?" : goal} good, {plays.length} played
        </span>
      </p>
      <div className="mt-1 flex flex-wrap items-end gap-1">
        <Button disabled={count >= goal} onClick={() => play(true)}>
          Good
        </Button>
        <Button disabled={count >= goal} onClick={() => play(false)}>
          Not good
        </Button>
        {plays.length > 0 && (
          <>
            <Button look="quiet" onClick={() => setPlays(plays.slice(0, -1))}>
              Undo
            </Button>
            <Button look="quiet" onClick={() => setPlays([])}>
              Anew
            </Button>
          </>
        )}
      </div>
      {plays.length === 0 ? (
        <>
          <NumberField
            label="Good plays wanted"
            className="w-20"
            error={isWrong ? `A whole number from 1 to ${MOST}, please.` : undefined}
            value={wanted}
            onChange={({ target }) => setWanted(target.value)}
          />
          {!isWrong && <p className="mt-1 text-soft">{sayForecast(countForecast(goal, rate), goal, seconds)}</p>}
        </>
      ) : (
        <p className="mt-1 text-soft">
          {count >= goal ? "That is it." : "A play that is not good gives one back. Space: good; Backspace: not."}
        </p>
      )}
    </section>
  );
}
