"use client";

import type { Felt } from "@/core/trials/felt";
import { FeltForm } from "../trials/felt-form";
import type { Trial } from "../trials/use-trial";
import { Button } from "../ui/button";

interface Props {
  readonly trial: Trial;
  /** Whether what was felt in the take that is looked at is still to be said. */
  readonly isAsking: boolean;
  readonly onFelt: (felt: Felt) => void;
  readonly onSkip: () => void;
}

const SAID = {
  idle: "Play the passage",
  armed: "Play when you are ready",
  playing: "Playing",
  reading: "Reading…",
} as const;

/** The passage played at the ladder's tempo: what was clean moves ladder and count by itself, what was easy is asked. */
export function TakePanel({ trial, isAsking, onFelt, onSkip }: Props) {
  const { phase, piano, complaint, told, toggle, connect } = trial;
  const isRunning = phase === "armed" || phase === "playing";
  return (
    <section aria-label="A take">
      <h2 className="font-serif text-lg">A take</h2>
      <div className="flex flex-wrap gap-1">
        <Button onClick={toggle} disabled={phase === "reading"}>
          {isRunning ? `${SAID[phase]}: end it` : SAID[phase]}
        </Button>
        {piano === null && (
          <Button look="quiet" onClick={connect}>
            Connect a MIDI piano
          </Button>
        )}
      </div>
      <p className="text-soft">{piano?.name ?? complaint ?? "The simulated piano plays until yours is connected."}</p>
      {told && (
        <p role="status">
          {!told.report.clean && "Not clean. "}
          {told.report.first}
          {told.take.source === "simulated piano" && " The simulated piano played it: it moves nothing."}
        </p>
      )}
      {told && isAsking && <FeltForm bars={null} onSay={onFelt} onSkip={onSkip} />}
    </section>
  );
}
