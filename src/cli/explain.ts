import { figuresOf } from "@/core/figures/find";
import { trapsOf } from "@/core/figures/traps";
import { adviceOn } from "@/core/fingering/advice";
import { conflictsOf } from "@/core/fingering/conflicts";
import { bestLeaning } from "@/core/fingering/leaning-study";
import { leaningById } from "@/core/fingering/leanings";
import { printedDigits } from "@/core/fingering/first-options";
import { partsOf } from "@/core/fingering/parts";
import { bestFingerings, judge, type Study } from "@/core/fingering/study";
import { handOf } from "@/core/passage/passage";
import { eachFile, joinEntry, notesInOrder, rounded } from "./file-study";
import { MANNER_USAGE, type Wishes } from "./wishes";

export const EXPLAIN_USAGE = `explain FILE... ${MANNER_USAGE} [--pin ID=F]... --json`;

/** The causes of each file's own fingering: digits printed in it, then pins, and what is left worked out around them; and what would be changed, and why. */
export function explain(args: readonly string[], print: (line: string) => void): number {
  return eachFile(args, EXPLAIN_USAGE, print, explanation);
}

function explanation(study: Study, wishes: Wishes): object {
  const printed = printedDigits(study);
  const given = { ...printed, ...wishes.pin };
  const [fingering] = bestFingerings(study, { pins: given }, 1);
  const [better] = bestLeaning(study, leaningById("balanced"), {}, 1);
  const judged = judge(study, fingering!);
  const parts = partsOf(study, judged);
  return {
    strain: rounded(judged.strain),
    peak: judged.peak && { note: judged.peak.note, strain: rounded(judged.peak.strain) },
    hands: parts.hands.map(({ side, strain, strokes }) => ({ hand: side, strain: rounded(strain), strokes })),
    positions: parts.joins.map(({ side, notes, join, strain }) => ({
      hand: side,
      notes,
      join: joinEntry(join),
      strain: rounded(strain),
    })),
    changes: adviceOn(study, fingering!, better!.fingering).map((change) => ({ ...change, by: rounded(change.by) })),
    traps: trapsOf(figuresOf(study), fingering!).map(({ note, other }) => ({ note, other })),
    conflicts: conflictsOf(study, { pins: given }),
    notes: notesInOrder(study).map((note) => ({
      note: note.id,
      midi: note.pitch,
      hand: handOf(note, study.passage),
      finger: fingering![note.id] ?? null,
      from: note.id in wishes.pin ? "pin" : note.id in printed ? "printed" : "worked out",
      strain: rounded(judged.notes[note.id]?.strain ?? 0),
      causes: (judged.notes[note.id]?.causes ?? []).map(({ cause, amount, unit, strain, words }) => ({
        cause,
        amount: rounded(amount),
        unit,
        strain: rounded(strain),
        words,
      })),
    })),
  };
}
