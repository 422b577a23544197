"use client";

import { toast } from "sonner";
import type { Fingering } from "@/core/fingering/study/fingering";
import { handsPlaying, type Study } from "@/core/fingering/study/study";
import { handOf, playedNotes } from "@/core/passage/passage";
import { workOutAnew } from "@/server/actions";
import type { OptionData, RestData } from "@/server/types";
import { dayText } from "../../hands/dates";
import { restText } from "../../hands/rest-text";
import { useAsk } from "../../keeping/ask";
import { Button } from "../../ui/button";

interface Props {
  readonly passageId: string;
  readonly study: Study;
  readonly rests: readonly RestData[];
  readonly fingering: Fingering;
  readonly onOptions: (options: readonly OptionData[]) => void;
}

/** Says what is resting and that answers honour it; an option from before can be worked out anew without it. */
export function RestingNotice({ passageId, study, rests, fingering, onOptions }: Props) {
  const { busy, ask } = useAsk(`passage ${passageId}`);
  if (rests.length === 0) return null;
  const playing = handsPlaying(study);
  const used = playedNotes(study.passage).filter((note) => {
    const [finger, side] = [fingering[note.id], handOf(note, study.passage)];
    return finger && playing.includes(side) && study.hands[side].resting.includes(finger);
  }).length;
  const anew = async (): Promise<void> => {
    const answer = await ask(() => workOutAnew({ passageId }));
    if (answer.ok) onOptions(answer.value);
    else toast.error(answer.message);
  };
  return (
    <section aria-label="Resting" className="border-l-2 border-velvet pl-3 text-sm">
      {rests.map((rest) => (
        <p key={rest.id}>
          {restText(rest)} {rest.fingers.length === 1 || rest.fingers.length === 5 ? "is" : "are"} resting; to be looked
          at again on {dayText(rest.reviewOn)}.
        </p>
      ))}
      {playing.length === 0 && <p>Nothing here is for a hand that plays: the passage waits, as it was left.</p>}
      {used > 0 && (
        <p className="flex items-center justify-between gap-2">
          This option uses resting fingers on {used} {used === 1 ? "note" : "notes"}.
          <Button disabled={busy} onClick={() => void anew()}>
            Work out anew
          </Button>
        </p>
      )}
    </section>
  );
}
