"use client";

import { Piano, Redo2, Undo2 } from "lucide-react";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { beginsAt, itemsAt, roomIn, type Cursor, type Entry } from "@/core/entry/entry";
import { keyOf } from "@/core/entry/spelling";
import { FULL_SIZE } from "@/core/keyboard/instrument";
import { pitch, pitchName } from "@/core/keyboard/pitch";
import type { Hands } from "@/core/passage/passage";
import { add, toNumber, type Beats } from "@/core/time/beats";
import { openEntered } from "@/server/actions";
import { ask } from "../keeping/ask";
import { EitherDialog } from "../keeping/either-dialog";
import { KeepingState } from "../keeping/keeping-state";
import { ScreenPiano } from "../piano/screen-piano";
import { usePiano } from "../piano/use-piano";
import { Button } from "../ui/button";
import { EntryScore } from "./entry-score";
import { EntrySettings } from "./entry-settings";
import { LengthBar } from "./length-bar";
import { useEntry } from "./use-entry";
import type { Begun } from "./use-entry-kept";
import { ENTRY_KEYS, useEntryKeys } from "./use-entry-keys";
import { useGestures, useStruck } from "./use-gestures";

/** Entering a hard passage without a file: from the keyboard on the screen, a MIDI piano, or the letters. */
interface Props {
  /** Whose the piece is, or will be. */
  readonly playerId: string;
  readonly begun: Begun;
  readonly passageId: string | null;
}

export function EnterView({ playerId, begun, passageId }: Props) {
  const inHand = useEntry(playerId, begun);
  const does = useGestures(inHand);
  const piano = usePiano();
  useEntryKeys(does);
  useStruck(piano.connected, does.strike);
  const { entry, cursor, complaint } = inHand;
  return (
    <div>
      <div className="flex flex-wrap items-center gap-3 border-b border-hairline pb-2">
        <h1 className="font-serif text-2xl">{entry.title || "A new passage"}</h1>
        <KeepingState keeping={inHand.keeping} />
        <OpenButton inHand={inHand} passageId={passageId} />
      </div>
      <EntrySettings inHand={inHand}>
        <Button onClick={piano.connect}>
          <Piano size={16} aria-hidden /> {piano.connected ? piano.connected.name : "Connect a MIDI piano"}
        </Button>
      </EntrySettings>
      <EntryScore entry={entry} cursor={cursor} onGo={does.choose} />
      <div className="sticky bottom-0 border-t border-hairline bg-paper pt-2">
        <div className="flex flex-wrap items-baseline gap-x-4">
          <p role="status" className="text-sm">
            {whereText(entry, cursor)}
            {does.editing && " Lengths change the note before the cursor."}
          </p>
          {complaint && (
            <p role="alert" className="text-sm text-vermilion">
              {complaint}
            </p>
          )}
        </div>
        <div className="flex flex-wrap items-center gap-1 py-1">
          <LengthBar does={does} />
          <Button onClick={does.undo} disabled={!inHand.canUndo} aria-label="Undo" className="px-3!">
            <Undo2 size={16} aria-hidden />
          </Button>
          <Button onClick={does.redo} disabled={!inHand.canRedo} aria-label="Redo" className="px-3!">
            <Redo2 size={16} aria-hidden />
          </Button>
        </div>
        {piano.complaint && <p className="text-sm">{piano.complaint}</p>}
        <ScreenPiano
          instrument={FULL_SIZE}
          lowest={pitch(cursor.voice < 2 ? 48 : 28)}
          highest={pitch(cursor.voice < 2 ? 96 : 76)}
          down={does.chording ? keysBefore(entry, cursor) : []}
          onPress={(key) => does.strike([key])}
        />
      </div>
      <details className="mt-4 text-sm">
        <summary className="min-h-8 cursor-pointer">Keys for entering</summary>
        <dl className="grid max-w-2xl grid-cols-[auto_1fr] gap-x-6">
          {ENTRY_KEYS.map(([key, what]) => (
            <div key={key} className="col-span-2 grid grid-cols-subgrid border-b border-hairline py-1">
              <dt className="font-medium whitespace-nowrap">{key}</dt>
              <dd>{what}</dd>
            </div>
          ))}
        </dl>
      </details>
      {inHand.theirs && (
        <EitherDialog
          title="These notes were changed in another window"
          description="Nothing of either is overwritten yet. Going on from the other one leaves what stands here in the undo steps of this window."
          onTheirs={inHand.takeTheirs}
          onMine={inHand.keepMine}
        />
      )}
    </div>
  );
}

/** Goes on to the Bench when all is kept. */
function OpenButton({ inHand, passageId }: { inHand: ReturnType<typeof useEntry>; passageId: string | null }) {
  const router = useRouter();
  const [hands, setHands] = useState<Hands>("both");
  const open = async (): Promise<void> => {
    await inHand.settled();
    const opened = await ask("open entry", () => openEntered({ pieceId: inHand.pieceId(), hands }));
    if (opened) router.push(`/bench/${opened.passageId}`);
  };
  return (
    <div className="ml-auto flex items-center gap-2">
      {passageId === null && (
        <label className="flex items-center gap-2 text-sm text-soft">
          Hands
          <select
            value={hands}
            onChange={(event) => setHands(event.target.value as Hands)}
            className="min-h-11 border border-hairline bg-raised px-2 text-ink"
          >
            <option value="both">both</option>
            <option value="right">right</option>
            <option value="left">left</option>
          </select>
        </label>
      )}
      <Button look="main" onClick={() => void open()}>
        {passageId === null ? "Work it out on the Bench" : "Back to the Bench"}
      </Button>
    </div>
  );
}

const VOICES = ["right hand", "right hand, second voice", "left hand", "left hand, second voice"] as const;

/** Where the cursor stands, what is before it, and what room there is. */
function whereText(entry: Entry, cursor: Cursor): string {
  const beat = toNumber(add(beginsAt(entry, cursor), "1" as Beats));
  const before = itemsAt(entry, cursor)[cursor.at - 1];
  const room = toNumber(roomIn(entry, cursor));
  const what = !before
    ? "nothing before the cursor"
    : before.pitches.length === 0
      ? "after a rest"
      : `after ${before.pitches.map((p) => pitchName(pitch(keyOf(p)))).join(", ")}${before.tied ? ", tied on" : ""}`;
  const left = room === 0 ? "the bar is full" : `${Math.round(room * 100) / 100} quarter notes left in it`;
  return `Bar ${cursor.bar + 1}, beat ${Math.round(beat * 100) / 100}, ${VOICES[cursor.voice]}: ${what}; ${left}.`;
}

function keysBefore(entry: Entry, cursor: Cursor) {
  const before = itemsAt(entry, cursor)[cursor.at - 1];
  return before?.pitches.map((p) => pitch(keyOf(p))) ?? [];
}
