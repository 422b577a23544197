"use client";

import { useState } from "react";
import { FINGERS, type Finger } from "@/core/hand/finger";
import type { NoteId } from "@/core/passage/note";
import type { OptionData } from "@/server/types";
import { Button } from "../../ui/button";
import { UndoButtons } from "./undo-buttons";

interface Props {
  readonly option: OptionData;
  readonly note: NoteId;
  readonly onPin: (finger: Finger | null) => void;
  readonly onRuleOut: (finger: Finger) => void;
  readonly onWalk: (way: "undo" | "redo") => void;
}

/** Five fingers for touch, to pin or to rule out, with lifting, undo and redo beside them. */
export function FingerPad({ option, note, onPin, onRuleOut, onWalk }: Props) {
  const [rulingOut, setRulingOut] = useState(false);
  const out = option.ruledOut[note] ?? [];
  const pinned = option.pins[note];
  const look = (finger: Finger): string =>
    `w-11 px-0! font-serif text-lg! ${option.digits[note] === finger ? "border-ink!" : ""} ${pinned === finger ? "font-extrabold underline" : ""}`;
  return (
    <div className="flex flex-wrap gap-1" role="group" aria-label="Finger for the chosen note">
      {FINGERS.map((finger) => (
        <Button
          key={finger}
          onClick={() => (rulingOut ? onRuleOut(finger) : onPin(finger))}
          aria-pressed={rulingOut ? out.includes(finger) : pinned === finger}
          aria-label={rulingOut ? `Rule out finger ${finger}` : `Pin finger ${finger}`}
          className={look(finger)}
        >
          <span className={out.includes(finger) ? "text-soft line-through decoration-2" : ""}>{finger}</span>
        </Button>
      ))}
      <Button
        aria-pressed={rulingOut}
        onClick={() => setRulingOut(!rulingOut)}
        className="px-3! aria-pressed:border-velvet! aria-pressed:text-velvet!"
      >
        Rule out
      </Button>
      <Button onClick={() => onPin(null)} disabled={pinned === undefined} className="px-3!">
        Lift pin
      </Button>
      <UndoButtons option={option} onWalk={onWalk} />
    </div>
  );
}
