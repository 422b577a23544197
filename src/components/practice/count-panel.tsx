"use client";

import { useState } from "react";
import { sayForecast } from "@/core/practice/count";
import { Button } from "../ui/button";
import { NumberField } from "../ui/number-field";
import type { CountInHand } from "./use-count";

interface Props {
  readonly count: CountInHand;
  /** s that one play takes. */
  readonly seconds: number;
}

const MOST = 30;

/** The count with honesty: each bad play gives one back. */
export function CountPanel({ count: held, seconds }: Props) {
  const { wanted, plays, count, isDone } = held;
  const [typed, type] = useState<string | null>(null);
  const given = typed ?? String(wanted);
  const goal = Number(given);
  const isWrong = !(Number.isInteger(goal) && goal >= 1 && goal <= MOST);
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
        <Button disabled={isDone} onClick={() => held.play(true)}>
          Good
        </Button>
        <Button disabled={isDone} onClick={() => held.play(false)}>
          Not good
        </Button>
        {plays.length > 0 && (
          <>
            <Button look="quiet" onClick={held.undo}>
              Undo
            </Button>
            <Button look="quiet" onClick={held.anew}>
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
            value={given}
            onChange={({ target }) => {
              type(target.value);
              const next = Number(target.value);
              if (Number.isInteger(next) && next >= 1 && next <= MOST) held.want(next);
            }}
          />
          {!isWrong && <p className="mt-1 text-soft">{sayForecast(held.forecastOf(goal), goal, seconds)}</p>}
        </>
      ) : (
        <p className="mt-1 text-soft">{isDone ? "That is it." : "A play that is not good gives one back."}</p>
      )}
    </section>
  );
}
