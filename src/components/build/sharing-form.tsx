"use client";

import { useState } from "react";
import { toast } from "sonner";
import { counted } from "@/core/counted";
import type { SharingWishes } from "@/core/options/sharing/wishes";
import type { FingeringWishes } from "@/core/options/asked/wishes";
import type { NoteId } from "@/core/passage/note";
import type { Redistribution } from "@/core/passage/passage";
import { fingeringWorker } from "@/worker/clients";
import { telling } from "@/worker/progress";
import { Button } from "../ui/button";
import { Choice } from "../ui/choice";

interface Props {
  readonly sharing: FingeringWishes["sharing"];
  readonly marked: readonly NoteId[];
  readonly note: NoteId | null;
  readonly taken: Redistribution;
  readonly onSharing: (sharing: FingeringWishes["sharing"]) => void;
  readonly onMark: (note: NoteId, marked: boolean) => void;
  readonly onTaken: (taken: Redistribution) => Promise<void>;
}

const ALLOWED: readonly (readonly [SharingWishes["allowed"], string])[] = [
  ["none", "None"],
  ["marked", "Marked"],
  ["all", "Any"],
];

const EASIER: readonly (readonly [NonNullable<SharingWishes["easier"]>, string])[] = [
  ["finger-work", "Fingers"],
  ["even", "Either"],
  ["leaps", "Leaps"],
];

/** How the sharing out of a moment ago came out. */
type Outcome = "best" | "best so far";

function standingText(count: number, outcome: Outcome | null): string {
  const other = `In the other hand, bracketed in the score: ${counted(count, "note")}.`;
  const asWritten = outcome ? "As written lies best." : "Every note is in the hand it is written for.";
  const more = outcome === "best so far" ? " The passage is long: a better way may exist." : "";
  return `${count === 0 ? asWritten : other}${more}`;
}

/** Which notes may change hands, what the player finds easier, and the sharing out itself. */
export function SharingForm({ sharing, marked, note, taken, onSharing, onMark, onTaken }: Props) {
  const [share, setShare] = useState<number | null>(null);
  const [outcome, setOutcome] = useState<Outcome | null>(null);
  const shareOut = async (): Promise<void> => {
    setShare(0);
    const progress = telling(({ done, of }: { done: number; of: number }) => setShare(done / of));
    const answer = await fingeringWorker()
      .share({ ...sharing, marked }, progress.tell)
      .catch(() => null);
    progress.end();
    if (answer === null) toast.error("The sharing out broke off. Nothing was changed.");
    else if (!answer.stopped) {
      await onTaken(answer.found.taken);
      setOutcome(answer.found.exact ? "best" : "best so far");
    }
    setShare(null);
  };
  const isMarked = note !== null && marked.includes(note);
  return (
    <div className="flex flex-col gap-2">
      <Choice
        label="May change"
        value={sharing.allowed}
        options={ALLOWED}
        onChange={(allowed) => onSharing({ ...sharing, allowed })}
      />
      {sharing.allowed === "marked" && note !== null && (
        <Button aria-pressed={isMarked} onClick={() => onMark(note, !isMarked)} className="self-start">
          {isMarked ? "Unmark this note" : "Mark this note"} ({marked.length})
        </Button>
      )}
      <Choice
        label="Easier"
        value={sharing.easier}
        options={EASIER}
        onChange={(easier) => onSharing({ ...sharing, easier })}
      />
      <label className="flex min-h-11 items-center gap-2">
        <input
          type="checkbox"
          className="size-5 accent-(--velvet)"
          checked={sharing.crossing}
          onChange={(event) => onSharing({ ...sharing, crossing: event.target.checked })}
        />
        Hands may cross
      </label>
      <div className="flex flex-wrap gap-2">
        <Button look="main" disabled={sharing.allowed === "none" || share !== null} onClick={() => void shareOut()}>
          {share === null ? "Share out" : `${Math.round(100 * share)} of 100`}
        </Button>
        {share !== null && <Button onClick={() => void fingeringWorker().stop("sharing")}>Stop</Button>}
        <Button
          disabled={Object.keys(taken).length === 0}
          onClick={() => {
            setOutcome(null);
            void onTaken({});
          }}
        >
          As written
        </Button>
      </div>
      <p role="status" className="text-soft">
        {standingText(Object.keys(taken).length, outcome)}
      </p>
    </div>
  );
}
