"use client";

import { useCallback, useEffect, useMemo, useRef, useState } from "react";
import { toast } from "sonner";
import type { Step } from "@/core/fingering/study/steps";
import type { Study } from "@/core/fingering/study/study";
import { musicOf } from "./music";
import { scheduleOf, stepAt, type PlayingAsked } from "./schedule";
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
export function usePlayer(study: Study, steps: readonly Step[], tempo: number, settings: PlayerSettings): Player {
  const music = useMemo(() => musicOf(study, steps), [study, steps]);
  const [at, setAt] = useState<number | null>(null);
  const [busy, setBusy] = useState(false);
  const running = useRef<{ readonly playing: Playing; readonly from: number; readonly start: number } | null>(null);
  const speed = useRef(tempo);

  // What was begun before the last stop is wanted no more, however late it comes.
  const begun = useRef(0);

  const stop = useCallback(() => {
    begun.current++;
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
      const schedule = scheduleOf(music.sounds, music.beats, music.metreAt(from), { ...settings, from, to });
      setBusy(true);
      const ticket = ++begun.current;
      const isWanted = (): boolean => begun.current === ticket;
      startPlaying(
        schedule,
        () => speed.current,
        settings.loop,
        () => isWanted() && stop(),
        isWanted,
      ).then(
        (playing) => {
          if (playing === null) return;
          if (!isWanted()) return playing.stop();
          running.current = { playing, from, start: schedule.start };
        },
        (error: unknown) => {
          if (!isWanted()) return;
          stop();
          toast.error(`It cannot be played: ${error instanceof Error ? error.message : String(error)}`);
        },
      );
    },
    [busy, stop, music, settings],
  );
  return { playing: busy, at, times: music.times, clock, toggle };
}
