"use client";

import { useCallback, useEffect, useMemo, useRef, useState } from "react";
import { toast } from "sonner";
import type { Fingering } from "@/core/fingering/study/fingering";
import type { Study } from "@/core/fingering/study/study";
import type { NoteId } from "@/core/passage/note";
import type { CleanRule } from "@/core/trials/clean";
import { expectedOf } from "@/core/trials/expected";
import type { TakeReport } from "@/core/trials/report";
import { onsetsIn } from "@/core/trials/snip";
import type { Take } from "@/core/trials/take";
import { takeAgain } from "@/server/actions";
import type { OptionData } from "@/server/types";
import { fingeringWorker } from "@/worker/clients";
import { ask } from "../keeping/ask";
import { midiPianos } from "../piano/midi-piano";
import type { PianoInput } from "../piano/piano-input";
import { performingPiano } from "./performing-piano";
import { Recorder } from "./recorder";
import type { SnipHeld } from "./use-snip";
import type { TakesInHand } from "./use-takes";

/** A take that has been read: what was played, and what it came to. */
export interface TakeTold {
  readonly id: string;
  readonly take: Take;
  /** The digits it was played on. */
  readonly digits: Fingering;
  readonly report: TakeReport;
}

type TrialPhase = "idle" | "armed" | "playing" | "reading";

export interface Trial {
  readonly phase: TrialPhase;
  /** How many keys have gone down. */
  readonly count: number;
  /** The take that is looked at; null for none. */
  readonly told: TakeTold | null;
  /** The one it is held against; null for none. */
  readonly other: TakeTold | null;
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
  /** Holds another take against the one that is looked at; null for none. */
  against(id: string | null): void;
  leave(): void;
}

interface Asked {
  readonly study: Study;
  readonly tempo: number;
  readonly click: boolean;
  /** What of the passage is played. */
  readonly snip: SnipHeld;
  /** Where time is free, and what is clean. */
  readonly by: { readonly free: readonly NoteId[]; readonly rule: CleanRule };
  readonly option: OptionData | undefined;
  readonly takes: TakesInHand;
  /** Told when a trial begins: the take that the simulated piano is about to play, or null where a hand does. */
  readonly onBegin: (simulated: Take | null) => void;
  /** Told when it has ended. */
  readonly onEnd: () => void;
  /** Whether the player has stopped: then nothing begins, and what runs ends unread. */
  readonly isHalted: boolean;
}

/** How often it is asked whether a take is over, ms. */
const ASKED_EVERY = 40;

/** Trying a passage: arms, hears what is played until it is over, reads it against the passage and keeps it. */
export function useTrial({ study, tempo, click, snip, by, option, takes, onBegin, onEnd, isHalted }: Asked): Trial {
  const [phase, setPhase] = useState<TrialPhase>("idle");
  const [count, setCount] = useState(0);
  const { told, other, setTold, look, against, leave } = useLooked(by);
  const { piano, complaint, connect } = useConnected();
  const part = snip.snip;
  const onsets = useMemo(() => onsetsIn(expectedOf(study), part), [study, part]);
  const running = useRef<Recording | null>(null);
  useEffect(() => () => running.current?.end(), []);
  useEffect(() => {
    if (isHalted) running.current?.end();
  }, [isHalted]);

  const read = useCallback(
    async (take: Take, on: OptionData): Promise<void> => {
      if (take.keys.length === 0) return setPhase("idle");
      setPhase("reading");
      const { digits } = on;
      const report = await fingeringWorker().heard(digits, take, by);
      if (take.snip) snip.after(report);
      setTold({ id: takes.keep(take, on), take, digits, report });
      setPhase("idle");
    },
    [takes, by, snip, setTold],
  );

  const begin = useCallback(
    async (on: OptionData): Promise<void> => {
      setTold(null);
      setCount(0);
      setPhase("armed");
      const simulated = piano === null ? await fingeringWorker().simulated(on.digits, tempo, newSeed(), part) : null;
      const source = piano === null ? "simulated piano" : "midi piano";
      const manner = { source, tempo, click, hands: study.passage.hands, snip: part } as const;
      running.current = recording(piano ?? performingPiano(simulated!), new Recorder(onsets), {
        onKey(keys) {
          setCount(keys);
          setPhase("playing");
        },
        onOver() {
          running.current = null;
          onEnd();
          setPhase("idle");
        },
        onTake: (take) => void read({ ...take, ...manner }, on),
      });
      onBegin(simulated);
    },
    [piano, tempo, click, study, part, onsets, read, onBegin, onEnd, setTold],
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
      else
        await read(
          { ...found, source: "midi file", tempo, click: false, hands: study.passage.hands, snip: part },
          option,
        );
    },
    [option, isHalted, read, tempo, study, part],
  );
  const looks = { told, other, look, against, leave };
  return { phase, count, piano, complaint, connect, toggle, ...looks, readFile: (file) => void readFile(file) };
}

/** The take that is looked at, and the one it is held against. */
function useLooked(by: Asked["by"]) {
  const [told, setTold] = useState<TakeTold | null>(null);
  const [other, setOther] = useState<TakeTold | null>(null);
  const look = useCallback((id: string): void => void again(id, by).then((now) => now && setTold(now)), [by]);
  const against = useCallback(
    (id: string | null): void => void (id === null ? setOther(null) : again(id, by).then(setOther)),
    [by],
  );
  const leave = useCallback(() => {
    setTold(null);
    setOther(null);
  }, []);
  return { told, other: told && other?.id !== told.id ? other : null, setTold, look, against, leave };
}

/** An earlier take, read again; null where there is none. */
async function again(id: string, by: Asked["by"]): Promise<TakeTold | null> {
  const found = await ask(`take ${id}`, () => takeAgain({ id }));
  return found && { id, ...found, report: await fingeringWorker().heard(found.digits, found.take, by) };
}

interface Recording {
  /** Ends it unread. */
  readonly end: () => void;
  /** Ends it, and what was played is a take. */
  readonly finish: () => void;
}

interface RecordingTold {
  /** A key has gone down: how many have. */
  readonly onKey: (keys: number) => void;
  readonly onOver: () => void;
  readonly onTake: (take: Pick<Take, "keys" | "pedal">) => void;
}

/** Listens to a piano into a recorder until it is over, or ended. */
function recording(piano: PianoInput, recorder: Recorder, { onKey, onOver, onTake }: RecordingTold): Recording {
  const deafen = piano.listen(
    (move) => {
      recorder.move(move, performance.now());
      if (move.down) onKey(recorder.count);
    },
    (pedal) => recorder.press(pedal),
  );
  const end = (): void => {
    clearInterval(timer);
    deafen();
    onOver();
  };
  const finish = (): void => {
    end();
    onTake(recorder.take());
  };
  const timer = setInterval(() => recorder.isOver(performance.now()) && finish(), ASKED_EVERY);
  return { end, finish };
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
