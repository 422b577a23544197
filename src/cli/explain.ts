import { mattering } from "@/core/fingering/explain/mattering";
import { figuresOf } from "@/core/figures/find";
import { trapsOf } from "@/core/figures/traps";
import { adviceOn, type FingerChange } from "@/core/fingering/explain/advice";
import { conflictsOf } from "@/core/options/asked/conflicts";
import { bestLeaning } from "@/core/options/leaning-study";
import { leaningById } from "@/core/options/leanings";
import { printedDigits } from "@/core/options/first-options";
import { partsOf } from "@/core/fingering/explain/parts";
import { bestFingerings, judge, type Judged, type Study } from "@/core/fingering/study/study";
import { handOf } from "@/core/passage/passage";
import { noteName } from "@/core/passage/note";
import { placeText } from "@/core/passage/place";
import type { Fingering } from "@/core/fingering/study/fingering";
import { run, type Command, type WordsFound } from "./command";
import { joinEntry, notesInOrder, rounded, type Opened } from "./file-study";
import { aligned } from "./table";
import { MANNER_USAGE, type Wishes } from "./wishes";

export const EXPLAIN: Command = {
  name: "explain",
  summary: "the causes of strain of each file's own digits, and what would be changed, and why.",
  usage: `FILE... ${MANNER_USAGE} [--pin ID=F]...`,
  find: explanation,
};

/** The causes of each file's own fingering: digits printed in it, then pins, and what is left worked out around them; and what would be changed, and why. */
export function explain(args: readonly string[], print: (line: string) => void, tell = print): number {
  return run(EXPLAIN, args, { print, tell });
}

function explanation({ study }: Opened, wishes: Wishes): WordsFound {
  const printed = printedDigits(study);
  const given = { ...printed, ...wishes.pin };
  const [fingering] = bestFingerings(study, { pins: given }, 1);
  const [better] = bestLeaning(study, leaningById("balanced"), {}, 1);
  const judged = judge(study, fingering!);
  const parts = partsOf(study, judged);
  const changes = adviceOn(study, fingering!, better!.fingering);
  const entry = {
    strain: rounded(judged.strain),
    peak: judged.peak && { note: judged.peak.note, strain: rounded(judged.peak.strain) },
    hands: parts.hands.map(({ side, strain, onsets }) => ({ hand: side, strain: rounded(strain), onsets })),
    positions: parts.joins.map(({ side, notes, join, strain }) => ({
      hand: side,
      notes,
      join: joinEntry(join),
      strain: rounded(strain),
    })),
    changes: changes.map((change) => ({ ...change, by: rounded(change.by) })),
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
  return { entry, table: tableOf(study, fingering!, judged, changes), fingering: fingering! };
}

/** The whole, then every note that strains with its causes, then what would be changed. */
function tableOf(
  study: Study,
  fingering: Fingering,
  judged: Judged,
  changes: readonly FingerChange[],
): readonly string[] {
  const notes = notesInOrder(study);
  if (notes.length === 0) return ["The hands asked for play nothing here."];
  const rows = notes.flatMap((note) => {
    const { strain, causes } = judged.notes[note.id] ?? { strain: 0, causes: [] };
    const { told, folded } = mattering(causes);
    const lesser = folded.length === 0 ? [] : [`${folded.length} lesser`];
    const [first = "", ...others] = [...told.map(({ words }) => words), ...lesser];
    const head = [
      placeText(note.bar, note.beat),
      noteName(note),
      String(fingering[note.id] ?? "-"),
      String(Math.round(strain)),
      first,
    ];
    return [head, ...others.map((words) => ["", "", "", "", words])];
  });
  return [
    `strain ${rounded(judged.strain)}, at most ${rounded(judged.peak?.strain ?? 0)}`,
    "",
    ...aligned([["where", "note", "finger", "strain", "causes"], ...rows]),
    ...(changes.length === 0
      ? []
      : [
          "",
          "What would be changed:",
          ...changes.map(({ from, to, why }) => `- ${from.join(" ")} to ${to.join(" ")}: ${why}`),
        ]),
  ];
}
