"use client";

import { useState } from "react";
import { toast } from "sonner";
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

/** Which notes may change hands, what the player finds easier, and the sharing out itself. */
export function SharingForm({ sharing, marked, note, taken, onSharing, onMark, onTaken }: Props) {
  const [share, setShare] = useState<number | null>(null);
  const count = Object.keys(taken).length;
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
      const moved = Object.keys(answer.found.taken).length;
      const exact = answer.found.exact ? "" : " The passage is long: a better way may exist.";
      toast(`${moved === 0 ? "As written lies best." : `${moved} notes change hands.`}${exact}`);
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
        <Button disabled={count === 0} onClick={() => void onTaken({})}>
          As written
        </Button>
      </div>
      <p className="text-soft">
        {count === 0
          ? "Every note is in the hand it is written for."
          : `${count} notes are in the other hand, bracketed in the score.`}
      </p>
    </div>
  );
}
