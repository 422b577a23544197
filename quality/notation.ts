import type { Side } from "@/core/hand/finger";
import { pitch } from "@/core/keyboard/pitch";
import type { Note, NoteId } from "@/core/passage/note";
import { inOrder, type Passage } from "@/core/passage/passage";
import { add, beats, ZERO, type Beats } from "@/core/time/beats";

const STEPS: Readonly<Record<string, number>> = { C: 0, D: 2, E: 4, F: 5, G: 7, A: 9, B: 11 };

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
        const key = pitch(keyOf(name.replace("!", "")));
        const staccato = name.endsWith("!");
        const place_ = { staff: 1, voice: String(v + 1), grace: 0, bar: "1", beat: at };
        return { id, tied: [], pitch: key, ...place_, onset: at, duration, staccato, printed: null };
      });
    });
}

/** The MIDI number of a key by its name: middle C is "C4". */
function keyOf(name: string): number {
  const [, step, sign, octave] = /^([A-G])([#b]?)(-?\d)$/.exec(name) ?? [];
  if (!step) throw new RangeError(`"${name}" is not the name of a key.`);
  return 12 * (Number(octave) + 1) + STEPS[step]! + (sign === "#" ? 1 : sign === "b" ? -1 : 0);
}

const SHARPS = ["C", "C#", "D", "D#", "E", "F", "F#", "G", "G#", "A", "A#", "B"];

export function nameOf(key: number): string {
  return `${SHARPS[key % 12]}${Math.floor(key / 12) - 1}`;
}
