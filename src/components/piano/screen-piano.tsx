"use client";

import { allKeys } from "@/core/keyboard/geometry";
import type { Instrument } from "@/core/keyboard/instrument";
import { pitchName, type Pitch } from "@/core/keyboard/pitch";
import { KEYBOARD } from "@/core/physics";
import { flipped, Keyboard } from "../keyboard/keyboard";

interface Props {
  readonly instrument: Instrument;
  readonly lowest: Pitch;
  readonly highest: Pitch;
  readonly down: readonly Pitch[];
  readonly onPress: (key: Pitch, down: boolean) => void;
}

/** A keyboard whose keys can be pressed: a tap puts one down, another lets it up. */
export function ScreenPiano({ instrument, lowest, highest, down, onPress }: Props) {
  const keys = allKeys(instrument).filter((k) => k.key >= lowest && k.key <= highest);
  const ordered = [...keys.filter((k) => !k.black), ...keys.filter((k) => k.black)];
  return (
    <Keyboard
      instrument={instrument}
      lowest={lowest}
      highest={highest}
      front={0}
      beside={0}
      label="Keyboard to press"
      className="max-h-56 w-full"
      isGroup
    >
      {ordered.map(({ key, black, left, right }) => {
        const isDown = down.includes(key);
        const height = black ? flipped(KEYBOARD.blackStart) : KEYBOARD.whiteLength;
        const toggle = (): void => onPress(key, !isDown);
        return (
          <g
            key={key}
            role="button"
            aria-pressed={isDown}
            aria-label={pitchName(key)}
            tabIndex={0}
            className="cursor-pointer outline-none [&:focus-visible>rect]:stroke-velvet [&:focus-visible>rect]:stroke-2"
            onClick={toggle}
            onKeyDown={(event) => {
              if (event.key !== "Enter" && event.key !== " ") return;
              event.preventDefault();
              toggle();
            }}
          >
            <rect x={left} y={0} width={right - left} height={height} fill="transparent" />
            {isDown && (
              <circle
                cx={(left + right) / 2}
                cy={height - (black ? 14 : 20)}
                r={5}
                fill="var(--velvet)"
                stroke="var(--paper)"
                strokeWidth={1}
              />
            )}
          </g>
        );
      })}
    </Keyboard>
  );
}
