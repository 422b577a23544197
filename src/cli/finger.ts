import { drain } from "@/core/drain";
import { figuresOf } from "@/core/figures/find";
import { bondsOf } from "@/core/figures/ties";
import type { Conditions } from "@/core/fingering/conditions";
import type { Fingering } from "@/core/fingering/fingering";
import { optionName } from "@/core/fingering/worth-showing";
import { reasonForNone } from "@/core/fingering/reasons";
import { bestFingerings, judge, type Study } from "@/core/fingering/study";
import { sweeping } from "@/core/fingering/sweep";
import type { Finger } from "@/core/hand/finger";
import type { Note } from "@/core/passage/note";
import { handOf } from "@/core/passage/passage";
import { eachFile, notesInOrder, rounded } from "./file-study";
import { conditionsFrom, type Wishes } from "./wishes";

export const FINGER_USAGE =
  "finger FILE... --hand right|left|both [--span-right MM] [--span-left MM] [--tempo BPM] [--options K] [--pin ID=F]... [--rule-out ID=F|thumb-on-black|4-5]... [--hold ID]... [--tie none|alike|all] [--sweep LOW:HIGH] --json";

/** The k best fingerings of each file. */
export function finger(args: readonly string[], print: (line: string) => void): number {
  return eachFile(args, FINGER_USAGE, print, listing);
}

/** The notes of the hands asked for, and each option with one entry a note in the same order. */
function listing(study: Study, wishes: Wishes): object {
  const notes = notesInOrder(study);
  const best = notes.length === 0 ? [] : bestFingerings(study, conditionsOf(study, wishes), wishes.options);
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
    ...(wishes.sweep ? { sweep: sweepOf(study, best, wishes.sweep) } : {}),
  };
}

/** What is wished for, and the ties of the figures that return. */
function conditionsOf(study: Study, wishes: Wishes): Conditions {
  const bonds = wishes.tie === "none" ? [] : bondsOf(study, figuresOf(study), wishes.tie);
  return { ...conditionsFrom(wishes), bonds };
}

function entry(study: Study, note: Note, finger: Finger | null): object {
  const hand = handOf(note, study.passage);
  if (finger !== null) return { note: note.id, hand, finger };
  return { note: note.id, hand, finger, reason: reasonForNone(study, note.id) };
}

/** The options' strain against tempo, and where their order changes. */
function sweepOf(study: Study, best: readonly Fingering[], [low, high]: readonly [number, number]): object {
  const { tempos, curves, flips } = drain(sweeping(study, best, low, high));
  const names = (places: readonly number[]): readonly string[] => places.map(optionName);
  return {
    tempos,
    curves: curves.map(({ strain, causes }, place) => ({
      name: optionName(place),
      strain: strain.map(rounded),
      causes: Object.fromEntries(Object.entries(causes).map(([cause, values]) => [cause, values.map(rounded)])),
    })),
    flips: flips.map(({ tempo, before, after }) => ({ tempo, before: names(before), after: names(after) })),
  };
}
