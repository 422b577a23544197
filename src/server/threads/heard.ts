import type { HandGiven } from "@/core/hand/measured";
import { studyOf } from "@/core/fingering/study/study-data";
import type { Side } from "@/core/hand/finger";
import type { Choices } from "@/core/transcription/choices";
import { transcribed } from "@/core/transcription/transcribe";
import type { Doubt, Guessed } from "@/core/transcription/transcript";
import { wording } from "@/formats/issue";
import { readHeard } from "@/formats/midi/read-heard";
import { writeTranscript } from "@/formats/musicxml/writing/write-transcript";
import type { Answer } from "../types";

export interface HearAskedOf {
  readonly midi: Uint8Array;
  /** What it is called where it has no name of its own. */
  readonly name: string;
  readonly choices: Choices;
  readonly hands: Readonly<Record<Side, HandGiven>>;
  /** mm */
  readonly octaveWidth: number;
}

export interface FileHeard {
  readonly title: string | null;
  /** The score that was heard, as MusicXML. */
  readonly source: Uint8Array;
  readonly guessed: Guessed;
  readonly doubts: readonly Doubt[];
  /** What the reader remarked, in sentences. */
  readonly remarks: readonly string[];
}

const NO_MUSIC = { notes: [], hands: "both", staves: 2 } as const;
/** A tempo has no bearing on hands alone. */
const MANNER = { tempo: 60, touch: "legato", pedal: true } as const;

/** Hears a file of keys as music; a sentence where it cannot be read. */
export function hearFile({ midi, name, choices, hands, octaveWidth }: HearAskedOf): Answer<FileHeard> {
  const read = readHeard(midi);
  if (!read.ok) return { ok: false, message: read.issues.map(wording).join(" ") };
  const player = studyOf({ passage: NO_MUSIC, hands, octaveWidth, manner: MANNER });
  const transcript = transcribed(read.value, choices, player);
  return {
    ok: true,
    value: {
      title: transcript.title,
      source: new TextEncoder().encode(writeTranscript(transcript, name)),
      guessed: transcript.guessed,
      doubts: transcript.doubts,
      remarks: read.issues.map(wording),
    },
  };
}
