import { parseArgs, type ParseArgsConfig } from "node:util";
import { z } from "zod";
import { TYING } from "@/core/figures/tying";
import type { Conditions } from "@/core/fingering/conditions";
import type { Pins } from "@/core/fingering/fingering";
import { LEANING_IDS } from "@/core/fingering/leanings";
import { ALLOWED, EASIER } from "@/core/fingering/sharing/wishes";
import type { Finger, Side } from "@/core/hand/finger";
import type { NoteId } from "@/core/passage/note";
import { ARPEGGIOS, TEMPO_RANGE, type HandsTaken } from "@/core/passage/passage";
import { HAND } from "@/core/physics";

const span = z.coerce.number().min(HAND.rulerSpanRange[0]).max(HAND.rulerSpanRange[1]).default(HAND.middleRulerSpan);
const tempo = z.coerce.number().min(TEMPO_RANGE[0]).max(TEMPO_RANGE[1]);
const noteId = z.string().transform((id) => id as NoteId);
const count = z.coerce.number().int().min(1).max(200);

/** "b1-s1-v1-n3=4": a note of the file and the finger it is given. */
const pin = z
  .string()
  .regex(/^[^=]+=[1-5]$/, "A pin is a note's name, =, and a finger from 1 to 5.")
  .transform((text): [NoteId, Finger] => {
    const [note, finger] = text.split("=");
    return [note as NoteId, Number(finger) as Finger];
  });

const sweep = z
  .string()
  .regex(/^\d+(\.\d+)?:\d+(\.\d+)?$/, "A sweep is two tempi, LOW:HIGH.")
  .transform((text): unknown => text.split(":"))
  .pipe(z.tuple([tempo, tempo]))
  .refine(([low, high]) => Math.ceil(low) <= Math.floor(high), "The slower tempo of a sweep comes first.");

const THUMB_ON_BLACK = "thumb-on-black";
const FOURTH_AND_FIFTH = "4-5";

/** "b1-s1-v1-n3=4": not this finger on this note; or one of the two rules for the whole passage. */
const ruleOut = z
  .string()
  .regex(
    new RegExp(`^([^=]+=[1-5]|${THUMB_ON_BLACK}|${FOURTH_AND_FIFTH})$`),
    `What is ruled out is a note's name, =, and a finger from 1 to 5, or ${THUMB_ON_BLACK}, or ${FOURTH_AND_FIFTH}.`,
  );

/** "b1-s1-v1-n3=left": a note and the hand that is to play it. */
const give = z
  .string()
  .regex(/^[^=]+=(right|left)$/, "A note is given to a hand by its name, =, and right or left.")
  .transform((text): [NoteId, Side] => {
    const [note, side] = text.split("=");
    return [note as NoteId, side as Side];
  });

/** "right:4": a finger that rests. */
const resting = z
  .string()
  .regex(/^(right|left):[1-5]$/, "A resting finger is right or left, :, and a finger from 1 to 5.")
  .transform((text) => {
    const [side, finger] = text.split(":");
    return { side: side as Side, finger: Number(finger) as Finger };
  });

/** Spans are ruler spans in mm, tempi quarter notes a minute. */
const Wishes = z.object({
  hand: z.enum(["right", "left", "both"]),
  "span-right": span,
  "span-left": span,
  rest: z.array(resting).default([]),
  tempo: tempo.optional(),
  touch: z.enum(["legato", "detached"]).default("legato"),
  pedal: z.boolean().default(false),
  arpeggios: z.enum(ARPEGGIOS).default("bound"),
  /** "top" for the highest notes, else the name of a voice. */
  tune: z.string().optional(),
  options: count.default(1),
  offers: count.optional(),
  leaning: z.enum(LEANING_IDS).default("balanced"),
  pin: z
    .array(pin)
    .default([])
    .transform((pins) => Object.fromEntries(pins) as Pins),
  "rule-out": z.array(ruleOut).default([]),
  hold: z.array(noteId).default([]),
  tie: z.enum(TYING).optional(),
  give: z
    .array(give)
    .default([])
    .transform((given) => Object.fromEntries(given) as HandsTaken),
  redistribute: z.enum(ALLOWED).optional(),
  share: z.array(noteId).default([]),
  easier: z.enum(EASIER).default("even"),
  crossing: z.boolean().default(false),
  sweep: sweep.optional(),
});

export type Wishes = z.infer<typeof Wishes>;

/** What is asked of the fingering itself, ties aside. */
export function conditionsFrom(wishes: Wishes): Conditions {
  const ruledOut: Record<NoteId, Finger[]> = {};
  for (const words of wishes["rule-out"]) {
    const [note, finger] = words.split("=");
    if (finger) (ruledOut[note as NoteId] ??= []).push(Number(finger) as Finger);
  }
  return {
    pins: wishes.pin,
    ruledOut,
    noThumbOnBlack: wishes["rule-out"].includes(THUMB_ON_BLACK),
    noFourthAndFifth: wishes["rule-out"].includes(FOURTH_AND_FIFTH),
    mustHold: wishes.hold,
  };
}

/** The notes that wishes name, each with the option that names it. */
export function notesNamed(wishes: Wishes): readonly { readonly option: string; readonly note: NoteId }[] {
  const { pins = {}, ruledOut = {}, mustHold = [] } = conditionsFrom(wishes);
  const named = (option: string, notes: readonly string[]) => notes.map((note) => ({ option, note: note as NoteId }));
  return [
    ...named("pin", Object.keys(pins)),
    ...named("rule-out", Object.keys(ruledOut)),
    ...named("hold", mustHold),
    ...named("share", wishes.share),
    ...named("give", Object.keys(wishes.give)),
  ];
}

const OPTIONS = {
  hand: { type: "string" },
  "span-right": { type: "string" },
  "span-left": { type: "string" },
  rest: { type: "string", multiple: true },
  tempo: { type: "string" },
  touch: { type: "string" },
  pedal: { type: "boolean" },
  arpeggios: { type: "string" },
  tune: { type: "string" },
  options: { type: "string" },
  offers: { type: "string" },
  leaning: { type: "string" },
  pin: { type: "string", multiple: true },
  "rule-out": { type: "string", multiple: true },
  hold: { type: "string", multiple: true },
  tie: { type: "string" },
  give: { type: "string", multiple: true },
  redistribute: { type: "string" },
  share: { type: "string", multiple: true },
  easier: { type: "string" },
  crossing: { type: "boolean" },
  sweep: { type: "string" },
  json: { type: "boolean" },
} as const satisfies ParseArgsConfig["options"];

/** The words that every command takes about hands and manner. */
export const MANNER_USAGE =
  "--hand right|left|both [--span-right MM] [--span-left MM] [--rest SIDE:F]... [--tempo BPM] [--touch legato|detached] [--pedal] [--arpeggios bound|carried] [--tune top|VOICE] [--give ID=right|left]...";

/** Files and wishes from the words of a command; a sentence where they make no sense. */
export function wishesFrom(
  args: readonly string[],
  usage: string,
): { readonly files: readonly string[]; readonly wishes: Wishes } | string {
  try {
    const { values, positionals } = parseArgs({ args: [...args], allowPositionals: true, options: OPTIONS });
    const wishes = Wishes.safeParse(values);
    if (!wishes.success) return wishes.error.issues.map((i) => `--${i.path.join(".")}: ${i.message}`).join("; ");
    if (positionals.length === 0) return `No file is named. Usage: ${usage}`;
    return { files: positionals, wishes: wishes.data };
  } catch (error) {
    return (error as Error).message;
  }
}
