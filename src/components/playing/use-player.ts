"use client";

import { useCallback, useEffect, useMemo, useRef, useState } from "react";
import { toast } from "sonner";
import { soundsOf, startOf, stepTimes } from "@/core/fingering/sounding";
import type { Step } from "@/core/fingering/steps";
import type { Study } from "@/core/fingering/study";
import { subtract, toNumber } from "@/core/time/beats";
import type { Meter } from "@/server/types";
import { beatsOf, scheduleOf, stepAt, type PlayingAsked } from "./schedule";
import { startPlaying, type Playing } from "./sound";

export interface Player {
  readonly playing: boolean;
  /** The step that sounds now; null when nothing is played. */
  readonly at: number | null;
  /** When each step is struck, in quarter notes from the start of the passage. */
  readonly times: readonly number[];
  /** Where playing stands, in the same; null while nothing is played or while it is counted in. */
  clock(): number | null;
  /** Plays from one step to the end of another, or stops what is played. */
  toggle(from: number, to: number): void;
}

export type PlayerSettings = Pick<PlayingAsked, "loop" | "countIn" | "click">;

/** Lets a passage be heard at the tempo in hand; the tempo may change while it sounds. */
export function usePlayer(
  study: Study,
  steps: readonly Step[],
  tempo: number,
  meter: Meter,
  settings: PlayerSettings,
): Player {
  const music = useMemo(() => musicOf(study, steps, meter), [study, steps, meter]);
  const [at, setAt] = useState<number | null>(null);
  const [busy, setBusy] = useState(false);
  const running = useRef<{ readonly playing: Playing; readonly from: number; readonly start: number } | null>(null);
  const speed = useRef(tempo);

  const stop = useCallback(() => {
    running.current?.playing.stop();
    running.current = null;
    setAt(null);
    setBusy(false);
  }, []);
  useEffect(() => stop, [stop, music]);
  useEffect(() => {
    speed.current = tempo;
    running.current?.playing.setTempo(tempo);
  }, [tempo]);

  const clock = useCallback((): number | null => {
    if (!running.current) return null;
    const { playing, from, start } = running.current;
    const moment = playing.position() - start;
    return moment < 0 ? null : from + moment;
  }, []);
  useEffect(() => {
    if (!busy) return;
    let frame = requestAnimationFrame(function follow() {
      const moment = clock();
      if (moment !== null) setAt(stepAt(music.times, moment));
      frame = requestAnimationFrame(follow);
    });
    return () => cancelAnimationFrame(frame);
  }, [busy, clock, music]);

  const toggle = useCallback(
    (first: number, last: number) => {
      if (running.current || busy) return stop();
      const [from, to] = [music.times[first] ?? 0, music.times[last + 1] ?? music.end];
      const schedule = scheduleOf(music.sounds, music.beats, meter.bar, { ...settings, from, to });
      setBusy(true);
      startPlaying(schedule, speed.current, settings.loop, stop).then(
        (playing) => {
          running.current = { playing, from, start: schedule.start };
        },
        (error: unknown) => {
          stop();
          toast.error(`It cannot be played: ${error instanceof Error ? error.message : String(error)}`);
        },
      );
    },
    [busy, stop, music, meter, settings],
  );
  return { playing: busy, at, times: music.times, clock, toggle };
}

function musicOf(study: Study, steps: readonly Step[], meter: Meter) {
  const sounds = soundsOf(study);
  const start = startOf(study);
  const end = Math.max(0, ...sounds.map((s) => s.at + s.length));
  const bars = [...new Set(steps.map((s) => toNumber(subtract(s.at, s.beat)) - start))];
  return { sounds, times: stepTimes(sounds, steps), beats: beatsOf(bars, meter.beat, end), end };
}
