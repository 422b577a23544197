"use client";

import { Play, Square } from "lucide-react";
import { useState } from "react";
import type { Pitch } from "@/core/keyboard/pitch";
import { toNumber } from "@/core/time/beats";
import type { Drill } from "@/core/practice/drill";
import type { KeyStruck } from "@/core/trials/take";
import { saveFile } from "../keeping/save-file";
import type { Schedule } from "../playing/schedule";
import { useSounding } from "../playing/use-sounding";
import { saveMidi } from "../trials/save-midi";
import { Button } from "../ui/button";
import { DrillScore } from "./drill-score";

interface Props {
  readonly drill: Drill;
  /** Key signature it is written in. */
  readonly fifths: number;
  /** Whether it has done its work, in the player's own word. */
  readonly isWorked: boolean;
  readonly onWorked: (isWorked: boolean) => void;
  /** The last day on which another fingering could be begun, in words; null without a concert. */
  readonly change: string | null;
}

/** How loud a drill sounds, and how hard its keys are in a file. */
const LOUD = 0.5;
const VELOCITY = 64;

/** A drill large on the desk: its music with digits, what it is for, when it is done, and how it leaves the tool. */
export function DrillOnDesk({ drill, fifths, isWorked, onWorked, change }: Props) {
  const { sound, stop, isSounding } = useSounding();
  const [file, setFile] = useState<string | null>(null);
  const name = drill.id.replaceAll(" ", "-");
  return (
    <section aria-label={drill.name}>
      <h2 className="mt-2 font-serif text-2xl">{drill.name}</h2>
      <p>Against {drill.attacks}.</p>
      <DrillScore drill={drill} fifths={fifths} zoom={1.2} onWritten={setFile} />
      <dl className="grid grid-cols-[4rem_1fr] gap-x-3 text-sm">
        <dt className="text-soft">Done</dt>
        <dd>{drill.done}</dd>
        <dt className="text-soft">Stop</dt>
        <dd>{drill.stop}</dd>
        {change !== null && (
          <>
            <dt className="text-soft">Digits</dt>
            <dd>{change}</dd>
          </>
        )}
      </dl>
      <div className="mt-3 flex flex-wrap gap-2 print:hidden">
        <Button onClick={() => (isSounding ? stop() : sound(scheduleOf(drill), drill.music.tempo))}>
          {isSounding ? <Square size={14} aria-hidden /> : <Play size={14} aria-hidden />}{" "}
          {isSounding ? "Stop" : "Hear it"}
        </Button>
        <Button
          disabled={file === null}
          onClick={() => file !== null && saveFile(new Blob([file], { type: "application/xml" }), `${name}.musicxml`)}
        >
          As MusicXML
        </Button>
        <Button onClick={() => void saveMidi({ keys: keysOf(drill), pedal: [] }, `${name}.mid`)}>As MIDI</Button>
        <Button look="quiet" onClick={() => window.print()}>
          Print
        </Button>
        <Button look="quiet" aria-pressed={isWorked} onClick={() => onWorked(!isWorked)}>
          {isWorked ? "It wants work again" : "It has done its work"}
        </Button>
      </div>
    </section>
  );
}

/** When each key of a drill goes down, in quarter notes. */
function struckIn({
  music: { hands },
}: Drill): readonly { readonly key: Pitch; readonly at: number; readonly length: number }[] {
  return hands.flatMap(({ events }) => {
    let at = 0;
    return events.flatMap(({ keys, length }) => {
      const from = at;
      at += toNumber(length);
      return keys.map(({ key }) => ({ key, at: from, length: toNumber(length) }));
    });
  });
}

function scheduleOf(drill: Drill): Schedule {
  const events = struckIn(drill).map((one) => ({ kind: "key", load: LOUD, ...one }) as const);
  return { events, start: 0, end: Math.max(0, ...events.map(({ at, length }) => at + length)) };
}

function keysOf(drill: Drill): readonly KeyStruck[] {
  const ms = 60_000 / drill.music.tempo;
  return struckIn(drill).map(({ key, at, length }) => {
    return { key, downMs: at * ms, upMs: (at + length) * ms, velocity: VELOCITY };
  });
}
