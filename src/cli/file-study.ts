import { readFileSync } from "node:fs";
import type { Study } from "@/core/fingering/study";
import { notesAsked } from "@/core/fingering/study";
import { studyOf } from "@/core/fingering/study-data";
import type { Join } from "@/core/fingering/positions";
import type { Finger, Side } from "@/core/hand/finger";
import type { Manner, Passage } from "@/core/passage/passage";
import { FULL_SIZE } from "@/core/keyboard/instrument";
import type { Note } from "@/core/passage/note";
import { compare } from "@/core/time/beats";
import { wording } from "@/formats/issue";
import { readScore } from "@/formats/musicxml/open";
import { passageFrom } from "@/formats/musicxml/passage";
import { pianoPart } from "@/formats/musicxml/score";
import { notesNamed, wishesFrom, type Wishes } from "./wishes";

/** Where the file names no tempo and none is asked for, in quarter notes a minute. */
const USUAL_TEMPO = 96;

/** The whole of a file before the hands wished for; a sentence where it cannot be read or a wish names no note of it. */
export function studyOfFile(file: string, wishes: Wishes): Study | string {
  let bytes: Uint8Array;
  try {
    bytes = readFileSync(file);
  } catch (error) {
    return `The file cannot be read: ${(error as NodeJS.ErrnoException).code ?? "unknown"}.`;
  }
  const read = readScore(bytes);
  if (!read.ok) return read.issues.map(wording).join(" ");
  const part = pianoPart(read.value);
  const study = studyOf({
    passage: { ...passageFrom(part, 1, part.bars.length, wishes.hand), ...tuneOf(wishes), taken: wishes.give },
    hands: {
      right: { measured: { rulerSpan: wishes["span-right"] }, resting: restingOf(wishes, "right") },
      left: { measured: { rulerSpan: wishes["span-left"] }, resting: restingOf(wishes, "left") },
    },
    octaveWidth: FULL_SIZE.octaveWidth,
    manner: mannerOf(wishes, part.tempo),
  });
  const asked = new Set<string>(notesAsked(study));
  const stranger = notesNamed(wishes).find(({ note }) => !asked.has(note));
  return stranger ? `--${stranger.option} ${stranger.note}: the hands asked for play no such note.` : study;
}

function mannerOf({ tempo, touch, pedal, arpeggios }: Wishes, written: number | null): Manner {
  return { tempo: tempo ?? written ?? USUAL_TEMPO, touch, pedal, arpeggios };
}

function restingOf({ rest }: Wishes, side: Side): readonly Finger[] {
  return rest.filter((r) => r.side === side).map((r) => r.finger);
}

function tuneOf({ tune }: Wishes): Pick<Passage, "tune"> {
  if (tune === undefined) return {};
  return { tune: tune === "top" ? { top: true } : { voice: tune } };
}

/** A join with its figures rounded; null for the first position. */
export function joinEntry(join: Join | null): object | null {
  return join && { kind: join.kind, mm: rounded(join.mm), ms: rounded(join.ms) };
}

/** The notes of the hands asked for, by onset and then pitch. */
export function notesInOrder(study: Study): readonly Note[] {
  const asked = new Set(notesAsked(study));
  return study.passage.notes
    .filter((note) => asked.has(note.id))
    .sort((a, b) => compare(a.onset, b.onset) || a.pitch - b.pitch);
}

/**
 * Answers for each file in a JSON line of its own.
 * @returns 1 when any file could not be done or the command makes no sense, else 0
 */
export function eachFile(
  args: readonly string[],
  usage: string,
  print: (line: string) => void,
  answer: (study: Study, wishes: Wishes) => object,
): number {
  const parsed = wishesFrom(args, usage);
  if (typeof parsed === "string") {
    print(JSON.stringify({ error: parsed }));
    return 1;
  }
  let code = 0;
  for (const file of parsed.files) {
    const study = studyOfFile(file, parsed.wishes);
    if (typeof study === "string") code = 1;
    const line = typeof study === "string" ? { error: study } : answer(study, parsed.wishes);
    print(JSON.stringify({ file, ...line }));
  }
  return code;
}

export function rounded(value: number): number {
  return Math.round(value * 100) / 100;
}
