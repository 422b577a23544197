"use client";

import { useHotkeys } from "react-hotkeys-hook";
import type { Drill } from "@/core/practice/drill";
import { Button } from "../ui/button";
import { DrillScore } from "./drill-score";
import { clickSaid } from "./ladder-panel";
import { KEYS_SAID } from "./said";
import type { PracticeDeskInHand } from "./use-practice-desk";
import { leaveToKeys } from "./use-hands-free";
import { useWakeLock } from "./use-wake-lock";

interface Props {
  readonly desk: PracticeDeskInHand;
  readonly drill: Drill;
  readonly fifths: number;
  /** What it is for, in a few words. */
  readonly aim: string;
  readonly onLeave: () => void;
}

/** The desk as it is read from a metre away: the score large, and three figures. The screen stays awake, and nothing moves. */
export function FarDesk({ desk: { ladder, count, click }, drill, fifths, aim, onLeave }: Props) {
  useWakeLock(true);
  useHotkeys("escape", onLeave);
  useHotkeys("c", click.toggle);
  useHotkeys("up", () => ladder.played({ clean: true, easy: true }), { preventDefault: true });
  useHotkeys("down", ladder.slower, { preventDefault: true });
  return (
    <section
      aria-label="The desk from a metre away"
      className="fixed inset-0 z-40 flex flex-col bg-paper p-6"
      onClick={leaveToKeys}
    >
      <h1 className="font-serif text-4xl">{aim}</h1>
      <p className="text-xl text-soft">{drill.name}</p>
      <div className="min-h-0 grow overflow-y-auto" tabIndex={0} role="group" aria-label="The music">
        <DrillScore drill={drill} fifths={fifths} zoom={1.9} />
      </div>
      <div className="flex flex-wrap items-end gap-x-12 gap-y-3 border-t border-hairline pt-3">
        <Figure label={`of ${Math.round(ladder.target)}; ${clickSaid(ladder.tempo)}`} name="Ladder">
          ♩ = {Math.round(ladder.tempo)}
        </Figure>
        <Figure label={count.isDone ? "that is it" : `of ${count.wanted} good`} name="Count">
          {count.count}
        </Figure>
        <div className="ml-auto flex flex-wrap gap-2">
          <Button aria-pressed={click.isOn} onClick={click.toggle}>
            {click.isOn ? "Stop the click" : "Click"} <kbd className="text-xs text-soft">C</kbd>
          </Button>
          <Button onClick={() => ladder.played({ clean: true, easy: true })}>
            A notch up <kbd className="text-xs text-soft">↑</kbd>
          </Button>
          <Button onClick={ladder.slower}>
            A notch down <kbd className="text-xs text-soft">↓</kbd>
          </Button>
          <Button onClick={onLeave}>
            Leave <kbd className="text-xs text-soft">Esc</kbd>
          </Button>
        </div>
      </div>
      <p className="pt-2 text-sm text-soft">{KEYS_SAID}</p>
    </section>
  );
}

interface FigureProps {
  readonly name: string;
  readonly label: string;
  readonly children: React.ReactNode;
}

function Figure({ name, label, children }: FigureProps) {
  return (
    <p role="status" aria-label={name}>
      <span className="font-serif text-6xl tabular-nums">{children}</span>{" "}
      <span className="text-xl text-soft">{label}</span>
    </p>
  );
}
