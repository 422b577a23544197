import { keyOf, stepOfWritten } from "@/core/entry/spelling";
import type { Side } from "@/core/hand/finger";
import { pitch } from "@/core/keyboard/pitch";
import type { Note, NoteId } from "@/core/passage/note";
import { inOrder, type Passage } from "@/core/passage/passage";
import { add, beats, ZERO, type Beats } from "@/core/time/beats";
import { signatureOf } from "@/core/transcription/signature";
import { spelledIn } from "@/core/transcription/spelling";
import type { Keys } from "./keys";

/**
 * A passage of one hand from a short line of text. Names of keys ("C4", "Eb5", "F#3") follow one another in sixteenths;
 * "C4:4" lasts four of them, "C4+E4" is a chord, "C4!" is staccato, "r" a rest. Voices that sound at once stand on
 * either side of " / ", the upper one first: it is the tune where `tune` is asked for.
 * @throws RangeError for a word that is no key
 */
export function passageOf(music: string, side: Side, tune = false): Passage {
  const notes = music.split(" / ").flatMap((voice, v) => voiceOf(voice, v));
  return {
    notes: inOrder(notes),
    hands: side,
    staves: 1,
    ...(tune ? { tune: { voice: "1" } } : {}),
  };
}

function voiceOf(voice: string, v: number): readonly Note[] {
  let onset: Beats = ZERO;
  return voice
    .trim()
    .split(/\s+/)
    .flatMap((word, place) => {
      const [what, length = "1"] = word.split(":") as [string, string?];
      const duration = beats(`${length}/4`);
      const at = onset;
      onset = add(onset, duration);
      if (what === "r") return [];
      return what.split("+").map((name, order): Note => {
        const id = `b1-s1-v${v + 1}-n${place + 1}${order === 0 ? "" : `-${order + 1}`}` as NoteId;
        const { pitch: key, step } = writtenOf(name.replace("!", ""));
        const staccato = name.endsWith("!");
        const place_ = { staff: 1, voice: String(v + 1), grace: 0, bar: "1", beat: at };
        return { id, tied: [], pitch: key, step, ...place_, onset: at, duration, staccato, printed: null };
      });
    });
}

/** A key by its written name, middle C being "C4": its pitch, and its step of the scale. */
function writtenOf(name: string): Required<Pick<Note, "pitch" | "step">> {
  const [, step, sign, octave] = /^([A-G])(#{0,2}|b{1,2})(-?\d)$/.exec(name) ?? [];
  if (!step || sign === undefined) throw new RangeError(`"${name}" is not the name of a key.`);
  const written = { step, alter: sign.startsWith("b") ? -sign.length : sign.length, octave: Number(octave) };
  return { pitch: pitch(keyOf(written)), step: stepOfWritten(written) };
}

/** Bare keys as a pianist would write them, in the key signature that fits them best; those of one onset are a chord. */
export function musicOf(keys: readonly Keys[]): string {
  const sounding = keys.flatMap((entry, at) => [entry].flat().map((key) => ({ key: pitch(key), at, ends: at + 1 })));
  const fifths = signatureOf(sounding);
  const lowest = (at: number): number | null => (keys[at] === undefined ? null : [keys[at]].flat()[0]!);
  const spelled = spelledIn(
    sounding.map(({ key, at }) => ({ key, at: at / 4, fifths, before: lowest(at - 1), after: lowest(at + 1) })),
  ).map(({ pitch: { step, alter, octave } }) => `${step}${(alter < 0 ? "b" : "#").repeat(Math.abs(alter))}${octave}`);
  let next = 0;
  return keys
    .map((entry) =>
      [entry]
        .flat()
        .map(() => spelled[next++])
        .join("+"),
    )
    .join(" ");
}
