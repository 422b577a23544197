import { readFileSync } from "node:fs";
import { parseArgs } from "node:util";
import { z } from "zod";
import { optionName } from "@/core/fingering/options";
import { bestFingerings, judge, notesAsked, type Study } from "@/core/fingering/study";
import { studyOf } from "@/core/fingering/study-data";
import { reasonForNone } from "@/core/fingering/reasons";
import type { Finger } from "@/core/hand/finger";
import { FULL_SIZE } from "@/core/keyboard/instrument";
import type { Note } from "@/core/passage/note";
import { handOf, TEMPO_RANGE } from "@/core/passage/passage";
import { HAND } from "@/core/physics";
import { compare } from "@/core/time/beats";
import { wording } from "@/formats/issue";
import { readScore } from "@/formats/musicxml/open";
import { passageFrom } from "@/formats/musicxml/passage";
import { pianoPart } from "@/formats/musicxml/score";

export const FINGER_USAGE =
  "finger FILE... --hand right|left|both [--span-right MM] [--span-left MM] [--tempo BPM] [--options K] --json";

const span = z.coerce.number().min(HAND.rulerSpanRange[0]).max(HAND.rulerSpanRange[1]).default(HAND.middleRulerSpan);

/** Spans are ruler spans in mm, the tempo quarter notes a minute. */
const Wishes = z.object({
  hand: z.enum(["right", "left", "both"]),
  "span-right": span,
  "span-left": span,
  tempo: z.coerce.number().min(TEMPO_RANGE[0]).max(TEMPO_RANGE[1]).optional(),
  options: z.coerce.number().int().min(1).max(200).default(1),
});

type Wishes = z.infer<typeof Wishes>;

/** Where the file names no tempo and none is asked for, in quarter notes a minute. */
const USUAL_TEMPO = 96;

/** Prints one JSON line a file; 1 when any file could not be done or the command makes no sense. */
export function finger(args: readonly string[], print: (line: string) => void): number {
  const parsed = parse(args);
  if (typeof parsed === "string") {
    print(JSON.stringify({ error: parsed }));
    return 1;
  }
  let code = 0;
  for (const file of parsed.files) {
    const answer = fingerFile(file, parsed.wishes);
    if ("error" in answer) code = 1;
    print(JSON.stringify(answer));
  }
  return code;
}

function parse(args: readonly string[]): { files: readonly string[]; wishes: Wishes } | string {
  try {
    const { values, positionals } = parseArgs({
      args: [...args],
      allowPositionals: true,
      options: {
        hand: { type: "string" },
        "span-right": { type: "string" },
        "span-left": { type: "string" },
        tempo: { type: "string" },
        options: { type: "string" },
        json: { type: "boolean" },
      },
    });
    const wishes = Wishes.safeParse(values);
    if (!wishes.success) return wishes.error.issues.map((i) => `--${i.path.join(".")}: ${i.message}`).join("; ");
    if (positionals.length === 0) return `No file is named. Usage: ${FINGER_USAGE}`;
    return { files: positionals, wishes: wishes.data };
  } catch (error) {
    return (error as Error).message;
  }
}

function fingerFile(file: string, wishes: Wishes): object {
  let bytes: Uint8Array;
  try {
    bytes = readFileSync(file);
  } catch (error) {
    return { file, error: `The file cannot be read: ${(error as NodeJS.ErrnoException).code ?? "unknown"}.` };
  }
  const read = readScore(bytes);
  if (!read.ok) return { file, error: read.issues.map(wording).join(" ") };
  const part = pianoPart(read.value);
  const passage = passageFrom(part, 1, part.bars.length, wishes.hand);
  const study = studyOf({
    passage,
    hands: {
      right: { measured: { rulerSpan: wishes["span-right"] }, resting: [] },
      left: { measured: { rulerSpan: wishes["span-left"] }, resting: [] },
    },
    octaveWidth: FULL_SIZE.octaveWidth,
    manner: { tempo: wishes.tempo ?? part.tempo ?? USUAL_TEMPO, touch: "legato", pedal: false },
  });
  return { file, ...listing(study, wishes.options) };
}

/** The notes of the hands asked for, and each option with one entry a note in the same order. */
function listing(study: Study, options: number): object {
  const asked = new Set(notesAsked(study));
  const notes = study.passage.notes
    .filter((note) => asked.has(note.id))
    .sort((a, b) => compare(a.onset, b.onset) || a.pitch - b.pitch);
  const best = notes.length === 0 ? [] : bestFingerings(study, {}, options);
  return {
    notes: notes.map(({ id, bar, onset, pitch, staff }) => ({ id, bar: Number(bar), onset, midi: pitch, staff })),
    options: best.map((fingering, place) => {
      const judged = judge(study, fingering);
      return {
        name: optionName(place),
        strain: rounded(judged.strain),
        peak: rounded(judged.peak?.strain ?? 0),
        fingering: notes.map((note) => entry(study, note, fingering[note.id] ?? null)),
      };
    }),
  };
}

function entry(study: Study, note: Note, finger: Finger | null): object {
  const hand = handOf(note, study.passage);
  if (finger !== null) return { note: note.id, hand, finger };
  return { note: note.id, hand, finger, reason: reasonForNone(study, note.id) };
}

function rounded(value: number): number {
  return Math.round(value * 100) / 100;
}
