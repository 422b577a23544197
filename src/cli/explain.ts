import { printedDigits } from "@/core/fingering/first-options";
import { positionsOf } from "@/core/fingering/positions";
import { bestFingerings, judge, type Study } from "@/core/fingering/study";
import { handOf } from "@/core/passage/passage";
import { eachFile, notesInOrder, rounded } from "./file-study";
import type { Wishes } from "./wishes";

export const EXPLAIN_USAGE =
  "explain FILE... --hand right|left|both [--pin ID=F]... [--span-right MM] [--span-left MM] [--tempo BPM] --json";

/** The causes of each file's own fingering: digits printed in it, then pins, and what is left worked out around them. */
export function explain(args: readonly string[], print: (line: string) => void): number {
  return eachFile(args, EXPLAIN_USAGE, print, explanation);
}

function explanation(study: Study, wishes: Wishes): object {
  const printed = printedDigits(study);
  const given = { ...printed, ...wishes.pin };
  const [fingering] = bestFingerings(study, { pins: given }, 1);
  const judged = judge(study, fingering!);
  return {
    strain: rounded(judged.strain),
    peak: judged.peak && { note: judged.peak.note, strain: rounded(judged.peak.strain) },
    positions: positionsOf(study, fingering!).map(({ side, notes, join }) => ({
      hand: side,
      notes,
      join: join && { kind: join.kind, mm: rounded(join.mm), ms: rounded(join.ms) },
    })),
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
