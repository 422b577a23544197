import { drain } from "@/core/drain";
import { figuresOf } from "@/core/figures/find";
import { trapsOf } from "@/core/figures/traps";
import { conflictsOf } from "@/core/options/asked/conflicts";
import type { Fingering } from "@/core/fingering/study/fingering";
import { bestLeaning, leaningConditions, leaningStudy } from "@/core/options/leaning-study";
import { leaningById } from "@/core/options/leanings";
import { offering } from "@/core/options/offering";
import { positionsOf } from "@/core/fingering/explain/positions";
import { reasonForNone } from "@/core/fingering/explain/reasons";
import { asShared, share, type Shared } from "@/core/options/sharing/sharing";
import { judge, type Study } from "@/core/fingering/study/study";
import { sweeping } from "@/core/fingering/explain/sweep";
import { tyingPrice } from "@/core/options/asked/tying-price";
import { optionName } from "@/core/options/option-name";
import type { Finger } from "@/core/hand/finger";
import { noteName, type Note } from "@/core/passage/note";
import { handOf } from "@/core/passage/passage";
import { USUAL_ALLOWANCES } from "@/core/reach/allowances";
import { remediesFor } from "@/core/reach/remedies-for";
import { placeText } from "@/core/passage/place";
import { run, type Command, type WordsFound } from "./command";
import { joinEntry, notesInOrder, rounded, type Opened } from "./file-study";
import { aligned } from "./table";
import { conditionsFrom, MANNER_USAGE, type Wishes } from "./wishes";

export const FINGER: Command = {
  name: "finger",
  summary: "the best fingerings of each file, with their positions, figures and what the ties cost.",
  usage: `FILE... ${MANNER_USAGE} [--options K | --offers K] [--leaning NAME] [--pin ID=F]... [--rule-out ID=F|thumb-on-black|4-5]... [--hold ID]... [--tie none|alike|all] [--redistribute none|marked|all [--share ID]... [--easier finger-work|even|leaps] [--crossing]] [--sweep LOW:HIGH]`,
  find: found,
};

/** The k best fingerings of each file, or those worth showing. */
export function finger(args: readonly string[], print: (line: string) => void, tell = print): number {
  return run(FINGER, args, { print, tell });
}

interface Listed {
  readonly fingering: Fingering;
  readonly leaning: string;
  readonly sentence?: string;
}

/** The notes of the hands asked for, and each option with one entry a note in the same order. */
function found({ study: written }: Opened, wishes: Wishes): WordsFound {
  const shared = wishes.redistribute ? sharedOut(written, wishes) : null;
  const study = shared ? { ...written, passage: asShared(written.passage, shared) } : written;
  const notes = notesInOrder(study);
  const listed = notes.length === 0 ? [] : listedOptions(study, wishes);
  const figures = figuresOf(study);
  const entry = {
    notes: notes.map(({ id, bar, onset, duration, grace, pitch, staff }) => {
      return { id, bar: Number(bar), onset, length: duration, grace, midi: pitch, staff };
    }),
    options: listed.map(({ fingering, leaning, sentence }, place) => {
      const judged = judge(study, fingering);
      return {
        name: optionName(place),
        leaning,
        ...(sentence === undefined ? {} : { sentence }),
        strain: rounded(judged.strain),
        peak: rounded(judged.peak?.strain ?? 0),
        fingering: notes.map((note) => noteEntry(study, note, fingering[note.id] ?? null)),
        positions: positionsOf(study, fingering).map(({ side, notes: held, join }) => ({
          hand: side,
          notes: held,
          join: joinEntry(join),
        })),
        traps: trapsOf(figures, fingering).map(({ note, other }) => ({ note, other })),
      };
    }),
    figures,
    conflicts: conflictsOf(study, conditionsFrom(wishes)),
    ...(listed.length > 0 ? { tying: tyingOf(study, wishes) } : {}),
    ...(shared ? { redistribution: redistribution(shared) } : {}),
    ...(wishes.sweep
      ? {
          sweep: sweepOf(
            study,
            listed.map((l) => l.fingering),
            wishes.sweep,
          ),
        }
      : {}),
  };
  return { entry, table: tableOf(study, notes, listed), fingering: listed[0]?.fingering ?? null };
}

/** Each option on a line of its own, then the notes down the page with a column of digits an option. */
function tableOf(study: Study, notes: readonly Note[], listed: readonly Listed[]): readonly string[] {
  if (notes.length === 0) return ["The hands asked for play nothing here."];
  const options = listed.map(({ fingering, leaning, sentence }, place) => {
    const { strain, peak } = judge(study, fingering);
    return `${optionName(place)}  ${leaning}, strain ${rounded(strain)}, at most ${rounded(peak?.strain ?? 0)}${sentence ? `: ${sentence}` : ""}`;
  });
  const digits = (note: Note): readonly string[] => listed.map(({ fingering }) => String(fingering[note.id] ?? "-"));
  const rows = notes.map((note) => [
    placeText(note.bar, note.beat),
    noteName(note),
    handOf(note, study.passage),
    ...digits(note),
  ]);
  return [...options, "", ...aligned([["where", "note", "hand", ...listed.map((_, i) => optionName(i))], ...rows])];
}

function listedOptions(study: Study, wishes: Wishes): readonly Listed[] {
  const conditions = conditionsFrom(wishes);
  if (wishes.offers) {
    const asked = wishes.tie ? leaningConditions(study, leaningById("balanced"), conditions, wishes.tie) : conditions;
    return drain(offering(study, asked, wishes.offers));
  }
  const leaning = leaningById(wishes.leaning);
  const asked = leaningConditions(study, leaning, conditions, wishes.tie);
  return bestLeaning(study, leaning, asked, wishes.options).map(({ fingering }) => ({
    fingering,
    leaning: wishes.leaning,
  }));
}

function sharedOut(study: Study, wishes: Wishes): Shared {
  const { redistribute, share: marked, easier, crossing } = wishes;
  return share(study, { allowed: redistribute!, marked, easier, crossing });
}

function redistribution({ taken, brackets, exact }: Shared): object {
  return { taken, brackets, exact };
}

/** What the ties cost that are kept. */
function tyingOf(study: Study, wishes: Wishes): object {
  const leaning = leaningById(wishes.leaning);
  const leant = leaningStudy(study, leaning);
  const conditions = conditionsFrom(wishes);
  const asked = leaningConditions(leant, leaning, conditions, wishes.tie);
  const [tied] = bestLeaning(study, leaning, asked, 1);
  const [free] = bestLeaning(study, leaning, { ...conditions, memories: [] }, 1);
  const { by, where, exact } = tyingPrice(study, tied!, free!);
  return {
    bonds: asked.memories?.length ?? 0,
    by: rounded(by),
    where: where && { ...where, by: rounded(where.by) },
    exact,
  };
}

function noteEntry(study: Study, note: Note, finger: Finger | null): object {
  const hand = handOf(note, study.passage);
  if (finger !== null) return { note: note.id, hand, finger };
  const remedies = remediesFor(study, note.id, USUAL_ALLOWANCES).map(({ kind, strain }) => ({
    kind,
    strain: rounded(strain),
  }));
  return { note: note.id, hand, finger, reason: reasonForNone(study, note.id), remedies };
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
