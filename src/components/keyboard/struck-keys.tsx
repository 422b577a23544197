import { isBlack, type Pitch } from "@/core/keyboard/pitch";
import { keyMiddle } from "@/core/keyboard/geometry";
import type { Instrument } from "@/core/keyboard/instrument";
import { KEYBOARD } from "@/core/physics";
import { flipped } from "./keyboard";

interface Props {
  readonly instrument: Instrument;
  readonly keys: readonly Pitch[];
  /** Those that were to be struck. */
  readonly asked: readonly Pitch[];
}

/** mm from the front edge at which the mark of a white key lies, and of a black key from its own. */
const NEAR = 14;
const HALF = 6;

/** Keys as they were struck: a ring on one that was asked for, a cross on another, a broken ring where none went down. */
export function StruckKeys({ instrument, keys, asked }: Props) {
  const missed = asked.filter((key) => !keys.includes(key));
  return (
    <g fill="none" strokeWidth={2} pointerEvents="none" data-struck={keys.join(" ")}>
      {keys.map((key) => {
        const { x, y } = markOn(key, instrument);
        return asked.includes(key) ? (
          <circle key={key} cx={x} cy={y} r={HALF} stroke="var(--velvet)" />
        ) : (
          <path
            key={key}
            d={`M${x - HALF},${y - HALF}l${2 * HALF},${2 * HALF}m${-2 * HALF},0l${2 * HALF},${-2 * HALF}`}
            stroke="var(--velvet)"
          />
        );
      })}
      {missed.map((key) => {
        const { x, y } = markOn(key, instrument);
        return <circle key={`missed ${key}`} cx={x} cy={y} r={HALF} stroke="var(--velvet)" strokeDasharray="3 3" />;
      })}
    </g>
  );
}

function markOn(key: Pitch, on: Instrument): { readonly x: number; readonly y: number } {
  return { x: keyMiddle(key, on), y: flipped((isBlack(key) ? KEYBOARD.blackStart : 0) + NEAR) };
}
