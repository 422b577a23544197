import { parseArgs, type ParseArgsConfig } from "node:util";
import { z } from "zod";
import type { Pins } from "@/core/fingering/fingering";
import type { Finger } from "@/core/hand/finger";
import type { NoteId } from "@/core/passage/note";
import { TEMPO_RANGE } from "@/core/passage/passage";
import { HAND } from "@/core/physics";

const span = z.coerce.number().min(HAND.rulerSpanRange[0]).max(HAND.rulerSpanRange[1]).default(HAND.middleRulerSpan);
const tempo = z.coerce.number().min(TEMPO_RANGE[0]).max(TEMPO_RANGE[1]);

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

/** Spans are ruler spans in mm, tempi quarter notes a minute. */
const Wishes = z.object({
  hand: z.enum(["right", "left", "both"]),
  "span-right": span,
  "span-left": span,
  tempo: tempo.optional(),
  options: z.coerce.number().int().min(1).max(200).default(1),
  pin: z
    .array(pin)
    .default([])
    .transform((pins) => Object.fromEntries(pins) as Pins),
  sweep: sweep.optional(),
});

export type Wishes = z.infer<typeof Wishes>;

const OPTIONS = {
  hand: { type: "string" },
  "span-right": { type: "string" },
  "span-left": { type: "string" },
  tempo: { type: "string" },
  options: { type: "string" },
  pin: { type: "string", multiple: true },
  sweep: { type: "string" },
  json: { type: "boolean" },
} as const satisfies ParseArgsConfig["options"];

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
