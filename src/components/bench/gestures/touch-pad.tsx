import { X } from "lucide-react";
import { FINGERS, type Finger } from "@/core/hand/finger";
import type { NoteId } from "@/core/passage/note";
import type { OptionData } from "@/server/types";

interface Props {
  readonly option: OptionData;
  readonly note: NoteId;
  /** Where the note was touched, in px of the window. */
  readonly at: { readonly x: number; readonly y: number };
  readonly onPin: (finger: Finger | null) => void;
  readonly onClose: () => void;
}

const KEY = 52;
/** px from the touch, so that the hand does not cover the note. */
const BELOW = 34;

/** Five fingers where the thumb already is, after a note was touched. */
export function TouchPad({ option, note, at, onPin, onClose }: Props) {
  const width = KEY * 6;
  const left = Math.max(8, Math.min(at.x - width / 2, window.innerWidth - width - 8));
  const top = at.y + BELOW + KEY > window.innerHeight ? at.y - BELOW - KEY : at.y + BELOW;
  return (
    <div
      role="group"
      aria-label="Finger for the note touched"
      className="fixed z-20 flex border border-ink bg-raised"
      style={{ left, top, height: KEY }}
    >
      {FINGERS.map((finger) => (
        <button
          key={finger}
          type="button"
          aria-label={`Pin finger ${finger}`}
          aria-pressed={option.pins[note] === finger}
          onClick={() => onPin(option.pins[note] === finger ? null : finger)}
          className={`border-r border-hairline font-serif text-2xl aria-pressed:font-extrabold aria-pressed:underline ${option.digits[note] === finger ? "text-velvet" : ""}`}
          style={{ width: KEY }}
        >
          {finger}
        </button>
      ))}
      <button
        type="button"
        aria-label="Close"
        onClick={onClose}
        className="grid place-items-center text-soft"
        style={{ width: KEY }}
      >
        <X size={18} aria-hidden />
      </button>
    </div>
  );
}
