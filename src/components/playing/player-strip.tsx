"use client";

import { Play, Square } from "lucide-react";
import { Button } from "../ui/button";
import type { PlayerSettings } from "./use-player";

interface Props {
  readonly playing: boolean;
  /** What would be heard: "from bar 2, beat 1", "the stretch". */
  readonly what: string;
  readonly settings: PlayerSettings;
  readonly onSettings: (settings: PlayerSettings) => void;
  readonly onToggle: () => void;
}

const SWITCHES = [
  ["loop", "Loop"],
  ["countIn", "Count in"],
  ["click", "Click"],
] as const;

/** Hearing the passage, looped or not, with a count-in and a click. */
export function PlayerStrip({ playing, what, settings, onSettings, onToggle }: Props) {
  return (
    <div className="flex items-center gap-1" role="group" aria-label="Hearing it">
      <Button onClick={onToggle} className="w-24 px-2!" title={playing ? "Stop" : `Hear it ${what}`}>
        {playing ? <Square size={14} aria-hidden /> : <Play size={14} aria-hidden />}
        {playing ? "Stop" : "Hear"}
      </Button>
      {SWITCHES.map(([name, label]) => (
        <button
          key={name}
          type="button"
          aria-pressed={settings[name]}
          onClick={() => onSettings({ ...settings, [name]: !settings[name] })}
          className="min-h-11 px-2 text-sm whitespace-nowrap text-soft aria-pressed:font-medium aria-pressed:text-ink aria-pressed:underline aria-pressed:decoration-velvet aria-pressed:decoration-2 aria-pressed:underline-offset-4"
        >
          {label}
        </button>
      ))}
    </div>
  );
}
