"use client";

import { afterTake, clickAt, NOTCHES, notched, type Ladder, type Notch } from "@/core/practice/ladder";
import { useStored } from "../keeping/use-stored";
import { Button } from "../ui/button";
import { Choice } from "../ui/choice";

interface Props {
  readonly passageId: string;
  /** Quarter notes a minute. */
  readonly target: number;
}

const NOTCH_NAMES: Readonly<Record<Notch, string>> = { clockwork: "a figure", share: "4 %", five: "5 beats" };
/** Share of the target at which a ladder begins until the player says otherwise. */
const BEGINS = 0.5;

/** The ladder of tempi: up after a play that was clean and easy, down after two that were not. Kept in this browser. */
export function LadderPanel({ passageId, target }: Props) {
  const [ladder, setLadder] = useStored<Ladder>(`ladder ${passageId}`, { tempo: target * BEGINS, misses: 0 });
  const [{ notch }, setNotch] = useStored<{ readonly notch: Notch }>("notch of the ladder", { notch: "clockwork" });
  const { figure, quarters } = clickAt(ladder.tempo);
  const played = (clean: boolean, easy: boolean): void => setLadder(afterTake(ladder, { clean, easy }, notch));
  return (
    <section aria-label="Ladder">
      <h2 className="font-serif text-lg">Ladder</h2>
      <p role="status">
        <span className="font-serif text-3xl tabular-nums">♩ = {Math.round(ladder.tempo)}</span>{" "}
        <span className="text-soft">
          of {Math.round(target)}; click {Math.round(figure)}
          {quarters !== 1 && `, ${quarters < 1 ? `${1 / quarters} to a quarter` : `every ${quarters} quarters`}`}
        </span>
      </p>
      <div className="mt-1 flex flex-wrap gap-1">
        <Button onClick={() => played(true, true)}>Clean and easy</Button>
        <Button onClick={() => played(false, false)}>Not yet</Button>
        <Button look="quiet" onClick={() => setLadder({ tempo: notched(ladder.tempo, -1, notch), misses: 0 })}>
          A notch slower
        </Button>
      </div>
      <p className="min-h-5 text-soft">
        {ladder.misses > 0 && "Once more that is not clean and easy, and it goes a notch down."}
      </p>
      <Choice
        label="Notch"
        value={notch}
        options={NOTCHES.map((one) => [one, NOTCH_NAMES[one]] as const)}
        onChange={(next) => setNotch({ notch: next })}
      />
    </section>
  );
}
