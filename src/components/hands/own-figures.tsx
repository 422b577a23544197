"use client";

import { format } from "date-fns";
import { useState } from "react";
import { toast } from "sonner";
import { OWN } from "@/core/physics";
import { countAsBefore, countByTakes, whatTakesSay } from "@/server/actions";
import type { OwnData, OwnProposedData } from "@/server/types";
import { useAsk } from "../keeping/ask";
import { newId } from "../new-id";
import { Button } from "../ui/button";

interface Props {
  readonly playerId: string;
  readonly own: OwnData | null;
}

/** What the player's own takes say of what is hard for these hands: shown first, taken up only if the player wants it. */
export function OwnFigures({ playerId, own: given }: Props) {
  const [own, setOwn] = useState(given);
  const [proposed, setProposed] = useState<OwnProposedData | null>(null);
  const { busy, ask } = useAsk(`own figures ${playerId}`);
  const look = async (): Promise<void> => {
    const answer = await ask(() => whatTakesSay({ playerId }));
    if (answer.ok) setProposed(answer.value);
    else toast.error(answer.message);
  };
  const keep = async (call: () => ReturnType<typeof countByTakes>): Promise<void> => {
    const answer = await ask(call);
    if (!answer.ok) return void toast.error(answer.message);
    setOwn(answer.value);
    setProposed(null);
  };
  const takeUp = ({ takes, causes, movement }: OwnProposedData): Promise<void> => {
    const times = Object.fromEntries(causes.map(({ cause, times: by }) => [cause, by]));
    const asked = { id: newId(), playerId, takes, causes: times, movement };
    return keep(() => countByTakes(asked));
  };
  return (
    <section aria-label="From your own takes">
      <h2 className="font-serif text-xl">From your own takes</h2>
      {own ? (
        <p className="text-sm">
          Since {format(new Date(own.since), "d MMMM")} every answer counts by {own.takes} takes of yours.{" "}
          <Button
            look="quiet"
            className="px-0! underline"
            disabled={busy}
            onClick={() => void keep(() => countAsBefore({ playerId }))}
          >
            Go back to before
          </Button>
        </p>
      ) : (
        <p className="text-sm text-soft">
          Every answer counts by what is usual. From {OWN.leastTakes} takes on, what is hard for these hands in
          particular can be read from them.
        </p>
      )}
      {proposed ? (
        <Proposal
          proposed={proposed}
          busy={busy}
          onTakeUp={() => void takeUp(proposed)}
          onLeave={() => setProposed(null)}
        />
      ) : (
        <Button className="mt-1" disabled={busy} onClick={() => void look()}>
          {busy ? "Looking…" : "What do they say?"}
        </Button>
      )}
    </section>
  );
}

interface ProposalProps {
  readonly proposed: OwnProposedData;
  readonly busy: boolean;
  readonly onTakeUp: () => void;
  readonly onLeave: () => void;
}

function Proposal({ proposed: { takes, causes, movement, ways, effects }, busy, onTakeUp, onLeave }: ProposalProps) {
  const isNothing = causes.length === 0 && movement === null;
  return (
    <div className="mt-2 border border-hairline p-3 text-sm">
      {takes < OWN.leastTakes ? (
        <p>
          {takes === 1 ? "There is one take" : `There are ${takes} takes`} of a whole passage by now; {OWN.leastTakes}{" "}
          are needed.
        </p>
      ) : isNothing ? (
        <p>{takes} takes say nothing else than what is usual.</p>
      ) : (
        <>
          <p>By {takes} takes of yours,</p>
          <ul className="mt-1 list-disc pl-5">
            {causes.map(({ cause, label, times, came, predicted }) => (
              <li key={cause}>
                {label} would count {times.toFixed(2)} times the usual: of the faults {came.toFixed(1)} came of it,{" "}
                {predicted.toFixed(1)} were to be expected
              </li>
            ))}
            {movement !== null && (
              <li>
                your hand would be given {movement.toFixed(2)} times the usual time for its way, as its quicker ways of{" "}
                {ways} took
              </li>
            )}
          </ul>
          <p className="mt-2">What would change in the fingerings that strain least:</p>
          <ul className="list-disc pl-5">
            {effects.map(({ title, changed, notes }) => (
              <li key={title}>
                {title}: {changed === 0 ? "nothing" : `${changed} of ${notes} notes`}
              </li>
            ))}
          </ul>
        </>
      )}
      <div className="mt-2 flex gap-1">
        {takes >= OWN.leastTakes && !isNothing && (
          <Button disabled={busy} onClick={onTakeUp}>
            Count by this
          </Button>
        )}
        <Button look="quiet" onClick={onLeave}>
          Leave it
        </Button>
      </div>
    </div>
  );
}
