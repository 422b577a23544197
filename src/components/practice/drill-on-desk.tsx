"use client";

import { Play, Square } from "lucide-react";
import { useEffect, useMemo, useState } from "react";
import type { Pitch } from "@/core/keyboard/pitch";
import type { NoteId } from "@/core/passage/note";
import { toNumber } from "@/core/time/beats";
import type { Drill } from "@/core/practice/drill";
import { written } from "@/core/practice/music";
import type { KeyStruck } from "@/core/trials/take";
import { engraver } from "@/worker/clients";
import type { DrillScore } from "@/worker/engraver";
import { saveFile } from "../keeping/save-file";
import type { Schedule } from "../playing/schedule";
import { useSounding } from "../playing/use-sounding";
import { Score } from "../score/score";
import { saveMidi } from "../trials/save-midi";
import { Button } from "../ui/button";

interface Props {
  readonly drill: Drill;
  /** Key signature it is written in. */
  readonly fifths: number;
}

/** How loud a drill sounds, and how hard its keys are in a file. */
const LOUD = 0.5;
const VELOCITY = 64;
const NO_LANES: readonly never[] = [];

/** A drill large on the desk: its music with digits, what it is for, when it is done, and how it leaves the tool. */
export function DrillOnDesk({ drill, fifths }: Props) {
  const { sound, stop, isSounding } = useSounding();
  const drillWritten = useMemo(() => written(drill.music, drill.name, fifths), [drill, fifths]);
  const score = useDrillScore(drillWritten);
  const layers = useMemo(
    () => [{ name: "drill", fingering: drillWritten.digits, pins: {}, marked: new Set<NoteId>() }],
    [drillWritten],
  );
  const name = drill.id.replaceAll(" ", "-");
  return (
    <section aria-label={drill.name}>
      <h2 className="mt-2 font-serif text-2xl">{drill.name}</h2>
      <p>Against {drill.attacks}.</p>
      {score && (
        <Score
          music={score.music}
          zoom={1.2}
          notes={score.notes}
          steps={NO_LANES}
          layers={layers}
          lanes={NO_LANES}
          sideOf={(note) => (note.includes("-s1-") ? "right" : "left")}
          selected={null}
          onSelect={() => undefined}
        />
      )}
      <dl className="grid grid-cols-[4rem_1fr] gap-x-3 text-sm">
        <dt className="text-soft">Done</dt>
        <dd>{drill.done}</dd>
        <dt className="text-soft">Stop</dt>
        <dd>{drill.stop}</dd>
      </dl>
      <div className="mt-3 flex flex-wrap gap-2 print:hidden">
        <Button onClick={() => (isSounding ? stop() : sound(scheduleOf(drill), drill.music.tempo))}>
          {isSounding ? <Square size={14} aria-hidden /> : <Play size={14} aria-hidden />}{" "}
          {isSounding ? "Stop" : "Hear it"}
        </Button>
        <Button
          disabled={!score}
          onClick={() => score && saveFile(new Blob([score.file], { type: "application/xml" }), `${name}.musicxml`)}
        >
          As MusicXML
        </Button>
        <Button onClick={() => void saveMidi({ keys: keysOf(drill), pedal: [] }, `${name}.mid`)}>As MIDI</Button>
        <Button look="quiet" onClick={() => window.print()}>
          Print
        </Button>
      </div>
    </section>
  );
}

function useDrillScore(drill: ReturnType<typeof written>): DrillScore | null {
  const [found, setFound] = useState<{ readonly of: unknown; readonly score: DrillScore } | null>(null);
  useEffect(() => {
    let isWanted = true;
    void engraver()
      .drillScore(drill)
      .then((score) => isWanted && setFound({ of: drill, score }));
    return () => {
      isWanted = false;
    };
  }, [drill]);
  return found?.of === drill ? found.score : null;
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
