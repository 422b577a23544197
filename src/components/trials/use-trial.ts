"use client";

import { useCallback, useEffect, useMemo, useRef, useState } from "react";
import { toast } from "sonner";
import type { Study } from "@/core/fingering/study/study";
import { expectedOf } from "@/core/trials/expected";
import type { TakeReport } from "@/core/trials/report";
import type { Take } from "@/core/trials/take";
import { takeAgain } from "@/server/actions";
import type { OptionData } from "@/server/types";
import { fingeringWorker } from "@/worker/clients";
import { ask } from "../keeping/ask";
import { midiPianos } from "../piano/midi-piano";
import type { PianoInput } from "../piano/piano-input";
import { performingPiano } from "./performing-piano";
import { Recorder } from "./recorder";
import type { TakesInHand } from "./use-takes";

/** A take that has been read: what was played, and what it came to. */
export interface TakeTold {
  readonly id: string;
  readonly take: Take;
  readonly report: TakeReport;
}

type TrialPhase = "idle" | "armed" | "playing" | "reading";

export interface Trial {
  readonly phase: TrialPhase;
  /** How many keys have gone down. */
  readonly count: number;
  /** The take that is looked at; null for none. */
  readonly told: TakeTold | null;
  /** The piano that is listened to; null where the simulated one plays. */
  readonly piano: PianoInput | null;
  /** Why no piano could be connected. */
  readonly complaint: string | null;
  connect(): void;
  /** Arms, or ends what is being played. */
  toggle(): void;
  /** Reads a performance of a Standard MIDI File as a take. */
  readFile(file: File): void;
  /** Looks at an earlier take. */
  look(id: string): void;
  leave(): void;
}

interface Asked {
  readonly study: Study;
  readonly tempo: number;
  readonly click: boolean;
  readonly option: OptionData | undefined;
  readonly takes: TakesInHand;
  /** Told when a trial begins, with how long it waits for a click; and the take that the simulated piano is about to play. */
  readonly onBegin: (simulated: Take | null) => void;
  /** Whether the player has stopped: then nothing begins, and what runs ends unread. */
  readonly isHalted: boolean;
}

/** How often it is asked whether a take is over, ms. */
const ASKED_EVERY = 40;

/** Trying a passage: arms, hears what is played until it is over, reads it against the passage and keeps it. */
export function useTrial({ study, tempo, click, option, takes, onBegin, isHalted }: Asked): Trial {
  const [phase, setPhase] = useState<TrialPhase>("idle");
  const [count, setCount] = useState(0);
  const [told, setTold] = useState<TakeTold | null>(null);
  const { piano, complaint, connect } = useConnected();
  const onsets = useMemo(() => expectedOf(study), [study]);
  const running = useRef<{ readonly end: () => void; readonly finish: () => void } | null>(null);
  useEffect(() => () => running.current?.end(), []);
  useEffect(() => {
    if (isHalted) running.current?.end();
  }, [isHalted]);

  const read = useCallback(
    async (take: Take, on: OptionData): Promise<void> => {
      if (take.keys.length === 0) return setPhase("idle");
      setPhase("reading");
      const report = await fingeringWorker().heard(on.digits, take);
      setTold({ id: takes.keep(take, on), take, report });
      setPhase("idle");
    },
    [takes],
  );

  const begin = useCallback(
    async (on: OptionData): Promise<void> => {
      setTold(null);
      setCount(0);
      setPhase("armed");
      const simulated = piano === null ? await fingeringWorker().simulated(on.digits, tempo, newSeed()) : null;
      const recorder = new Recorder(onsets);
      const source = piano === null ? "simulated piano" : "midi piano";
      const manner = { source, tempo, click, hands: study.passage.hands } as const;
      const end = listening(piano ?? performingPiano(simulated!), recorder, () => {
        setCount(recorder.count);
        setPhase("playing");
      });
      const timer = setInterval(() => recorder.isOver(performance.now()) && running.current?.finish(), ASKED_EVERY);
      running.current = {
        end() {
          clearInterval(timer);
          end();
          running.current = null;
          setPhase("idle");
        },
        finish() {
          this.end();
          void read(recorder.take(manner), on);
        },
      };
      onBegin(simulated);
    },
    [piano, tempo, click, study, onsets, read, onBegin],
  );

  const toggle = useCallback(() => {
    if (running.current) running.current.finish();
    else if (option && phase === "idle" && !isHalted) void begin(option);
  }, [option, phase, begin, isHalted]);
  const readFile = useCallback(
    async (file: File): Promise<void> => {
      if (!option || isHalted) return;
      const found = await fingeringWorker().fromMidi(new Uint8Array(await file.arrayBuffer()));
      if (typeof found === "string") toast.error(`${file.name}: ${found}`);
      else await read({ ...found, source: "midi file", tempo, click: false, hands: study.passage.hands }, option);
    },
    [option, isHalted, read, tempo, study],
  );
  const look = useCallback(async (id: string): Promise<void> => {
    const found = await ask(`take ${id}`, () => takeAgain({ id }));
    if (found) setTold({ id, take: found.take, report: await fingeringWorker().heard(found.digits, found.take) });
  }, []);
  const leave = useCallback(() => setTold(null), []);
  return {
    ...{ phase, count, told, piano, complaint, connect, toggle, leave },
    readFile: (file) => void readFile(file),
    look: (id) => void look(id),
  };
}

/** Listens to a piano into a recorder. @returns ends it */
function listening(piano: PianoInput, recorder: Recorder, onMove: () => void): () => void {
  return piano.listen(
    (move) => {
      recorder.move(move, performance.now());
      if (move.down) onMove();
    },
    (pedal) => recorder.press(pedal),
  );
}

/** The MIDI piano that is connected, once the player asks for it. */
function useConnected(): Pick<Trial, "piano" | "complaint" | "connect"> {
  const [piano, setPiano] = useState<PianoInput | null>(null);
  const [complaint, setComplaint] = useState<string | null>(null);
  const connect = useCallback(() => {
    midiPianos().then(
      ([first]) => {
        setPiano(first ?? null);
        setComplaint(first ? null : "No MIDI piano is connected. The simulated one plays in its place.");
      },
      () => setComplaint("This browser gives no access to MIDI. The simulated piano plays in its place."),
    );
  }, []);
  return { piano, complaint, connect };
}

/** Each trial of the simulated piano is another one. */
function newSeed(): number {
  return Math.floor(Math.random() * 2 ** 31);
}
