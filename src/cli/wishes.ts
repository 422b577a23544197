import { parseArgs, type ParseArgsConfig } from "node:util";
import { z } from "zod";
import { TYING } from "@/core/figures/tying";
import type { Conditions } from "@/core/fingering/search/conditions";
import type { Pins } from "@/core/fingering/study/fingering";
import { LEANING_IDS } from "@/core/options/leanings";
import { ALLOWED, EASIER } from "@/core/options/sharing/wishes";
import type { Finger, Side } from "@/core/hand/finger";
import type { NoteId } from "@/core/passage/note";
import { ARPEGGIOS, TEMPO_RANGE, type Redistribution } from "@/core/passage/passage";
import { HAND } from "@/core/physics";

/** A number within limits, and what to say where it is none. */
function numberIn([least, most]: readonly [number, number], what: string) {
  const error = `Say ${what}, from ${least} to ${most}.`;
  return z.string().trim().min(1, error).transform(Number).pipe(z.number({ error }).min(least, error).max(most, error));
}

/** One of some words, and what to say where it is none. */
function oneOf<const T extends readonly [string, ...string[]]>(words: T) {
  return z.enum(words, { error: `Say ${words.slice(0, -1).join(", ")} or ${words.at(-1)}.` });
}

const span = numberIn(HAND.rulerSpanRange, "a span in mm").default(HAND.middleRulerSpan);
const tempo = numberIn(TEMPO_RANGE, "a tempo in quarter notes a minute");
const noteId = z.string().transform((id) => id as NoteId);
const count = numberIn([1, 200], "a whole number").refine(Number.isInteger, "Say a whole number, from 1 to 200.");

/** "3-6", or "3" for one bar: bars as numbered on paper. */
const bars = z
  .string()
  .regex(/^\d{1,6}(-\d{1,6})?$/, "Bars are a first and a last number, as 3-6.")
  .transform((text): readonly [string, string] => {
    const [from, to] = text.split("-");
    return [from!, to ?? from!];
  });

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
  hand: z.enum(["right", "left", "both"], { error: "Say whose digits: right, left or both." }),
  part: z.string().min(1).optional(),
  bars: bars.optional(),
  out: z.string().min(1, "Say the file to write.").optional(),
  "span-right": span,
  "span-left": span,
  rest: z.array(resting).default([]),
  tempo: tempo.optional(),
  touch: oneOf(["legato", "detached"]).default("legato"),
  pedal: z.boolean().default(false),
  arpeggios: oneOf(ARPEGGIOS).default("legato"),
  /** "top" for the highest notes, else the name of a voice. */
  tune: z.string().optional(),
  options: count.default(1),
  offers: count.optional(),
  leaning: oneOf(LEANING_IDS).default("balanced"),
  pin: z
    .array(pin)
    .default([])
    .transform((pins) => Object.fromEntries(pins) as Pins),
  "rule-out": z.array(ruleOut).default([]),
  hold: z.array(noteId).default([]),
  tie: oneOf(TYING).optional(),
  give: z
    .array(give)
    .default([])
    .transform((given) => Object.fromEntries(given) as Redistribution),
  redistribute: oneOf(ALLOWED).optional(),
  share: z.array(noteId).default([]),
  easier: oneOf(EASIER).default("even"),
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
  help: { type: "boolean", short: "h" },
  part: { type: "string" },
  bars: { type: "string" },
  out: { type: "string" },
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
  "--hand right|left|both [--part ID] [--bars FROM-TO] [--span-right MM] [--span-left MM] [--rest SIDE:F]... [--tempo N] [--touch legato|detached] [--pedal] [--arpeggios legato|carried] [--tune top|VOICE] [--give ID=right|left]... [--json] [--out FILE]";

/** Files and wishes from the words of a command; a sentence where they make no sense, "help" where help is asked for. */
export function wishesFrom(
  args: readonly string[],
): { readonly files: readonly string[]; readonly wishes: Wishes } | "help" | (string & {}) {
  try {
    const { values, positionals, tokens } = parseArgs({
      args: [...args],
      allowPositionals: true,
      options: OPTIONS,
      tokens: true,
    });
    if (values.help) return "help";
    const twice = tokens.find(
      (t, i) =>
        t.kind === "option" &&
        isSingle(t.name) &&
        tokens.findIndex((o) => o.kind === "option" && o.name === t.name) < i,
    );
    if (twice?.kind === "option") return `--${twice.name} is said twice.`;
    const wishes = Wishes.safeParse(values);
    if (!wishes.success) return wishes.error.issues.map((i) => `--${String(i.path[0])}: ${i.message}`).join(" ");
    if (positionals.length === 0) return "No file is named.";
    return { files: positionals, wishes: wishes.data };
  } catch (error) {
    return plainly(error as Error);
  }
}

function isSingle(name: string): boolean {
  const option = (OPTIONS as Readonly<Record<string, { readonly type: string; readonly multiple?: boolean }>>)[name];
  return option?.type === "string" && !option.multiple;
}

/** What the reader of arguments says, in a sentence. */
function plainly({ message }: Error): string {
  const [, unknown] = /Unknown option '([^']+)'/.exec(message) ?? [];
  if (unknown) return `There is no word ${unknown}.`;
  const [, wanting] = /Option '(?:-\w, )?(--[\w-]+) <value>' argument (?:missing|is ambiguous)/.exec(message) ?? [];
  if (wanting) return `${wanting} wants a value after it.`;
  const [, plain] = /Option '(?:-\w, )?(--[\w-]+)' does not take an argument/.exec(message) ?? [];
  if (plain) return `${plain} takes no value.`;
  return message.split("\n")[0]!;
}
