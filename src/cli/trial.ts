import { bestFingerings } from "@/core/fingering/study/study";
import { printedDigits } from "@/core/options/first-options";
import { pitchName } from "@/core/keyboard/pitch";
import { cleanMeasures, uncleanWhy } from "@/core/trials/clean";
import { figuresOf as figuresIn } from "@/core/figures/find";
import { figuresOf, TAKE_FIGURES } from "@/core/trials/figures";
import { heardOf, type Heard } from "@/core/trials/heard";
import type { Take } from "@/core/trials/take";
import { wording } from "@/formats/issue";
import { readMidi } from "@/formats/midi/read-midi";
import { helpOn, type Called, type Speaking } from "./command";
import { openedFile, rounded, type Opened } from "./file-study";
import { bytesOf } from "./input";
import { aligned } from "./table";
import { MANNER_USAGE, wishesFrom, type Wishes } from "./wishes";

const USAGE = `PASSAGE TAKE.mid ${MANNER_USAGE} [--pin ID=F]...`;
const SUMMARY = "holds a performance, a Standard MIDI File, against the passage it is of: what was struck, and how.";

/** A take of a MIDI file held against a passage of a score: the alignment, key by key, and the figures. */
export const TRIAL: Called = { name: "trial", summary: SUMMARY, run: trial };

/**
 * Holds a take against a passage.
 * @returns 0 when the take was read, 1 when a file could not be or the words make no sense
 */
export function trial(args: readonly string[], { print, tell }: Speaking): number {
  const asJson = args.includes("--json");
  const refuse = (message: string, file?: string): number => {
    if (asJson) print(JSON.stringify({ ...(file === undefined ? {} : { file }), error: message }));
    else tell(`${file === undefined ? "" : `${file}: `}${message}\nFor all words: velvet trial --help`);
    return 1;
  };
  const parsed = wishesFrom(args);
  if (parsed === "help") {
    print(helpOn({ name: "trial", summary: SUMMARY, usage: USAGE }));
    return 0;
  }
  if (typeof parsed === "string") return refuse(parsed);
  const [score, midi, ...more] = parsed.files;
  if (score === undefined || midi === undefined || more.length > 0)
    return refuse("A trial takes two files: the passage, and a take of it as a MIDI file.");
  const opened = openedFile(score, parsed.wishes);
  if (typeof opened === "string") return refuse(opened, score);
  const bytes = bytesOf(midi);
  if (typeof bytes === "string") return refuse(bytes, midi);
  const read = readMidi(bytes);
  if (!read.ok) return refuse(read.issues.map(wording).join(" "), midi);
  const { study } = opened;
  const manner = {
    source: "midi file",
    tempo: study.manner.tempo,
    click: false,
    hands: study.passage.hands,
    snip: null,
  } as const;
  const heard = heardAs(opened, parsed.wishes, { ...read.value, ...manner });
  const remarks = [...opened.remarks, ...read.issues.map(wording)];
  if (asJson) print(JSON.stringify({ file: score, take: midi, tempo: manner.tempo, remarks, ...entryOf(heard) }));
  else
    for (const line of [`${score}, ${midi}`, ...remarks.map((words) => `! ${words}`), ...tableOf(heard)]) print(line);
  return 0;
}

/** Played with the file's own digits, then pins, and what is left worked out around them. */
function heardAs({ study }: Opened, wishes: Wishes, take: Take): Heard {
  const [fingering] = bestFingerings(study, { pins: { ...printedDigits(study), ...wishes.pin } }, 1);
  return heardOf(study, fingering!, take, new Set(), figuresIn(study));
}

function entryOf(heard: Heard): object {
  const { read, onsets } = heard;
  const figures = figuresOf(heard);
  const why = uncleanWhy(cleanMeasures(heard, figures));
  return {
    onsets: onsets.length,
    keys: read.keys.map(({ key, downMs, velocity }, j) => {
      const one = read.read[j]!;
      const note = "note" in one ? { note: one.note.id, semitones: one.semitones } : { note: null };
      return { midi: key, ms: rounded(downMs), velocity, kind: one.kind, onset: one.onset, ...note };
    }),
    runs: read.runs.map(({ from, to, missed }) => ({ from, to, missed })),
    doubtful: read.doubtful,
    figures: TAKE_FIGURES.flatMap(({ id, label, unit }) => {
      const found = figures[id];
      if (!found) return [];
      const places = found.places.map(({ note, amount }) => ({ note, amount: rounded(amount) }));
      return [{ id, label, unit, amount: rounded(found.amount), places, ...partsOf(found.parts) }];
    }),
    clean: why.length === 0,
    why,
  };
}

function partsOf(parts: Readonly<Record<string, number>> | undefined): object {
  if (!parts) return {};
  return { parts: Object.fromEntries(Object.entries(parts).map(([name, amount]) => [name, rounded(amount)])) };
}

function tableOf(heard: Heard): readonly string[] {
  const { read, onsets } = heard;
  const figures = figuresOf(heard);
  const why = uncleanWhy(cleanMeasures(heard, figures));
  const astray = read.keys.flatMap(({ key, downMs }, j) => {
    const one = read.read[j]!;
    if (one.kind === "right" || one.kind === "ornament") return [];
    const place = `bar ${onsets[one.onset]?.bar ?? "?"}`;
    return [[place, one.kind, pitchName(key), `${Math.round(downMs)} ms`]];
  });
  const rows = TAKE_FIGURES.flatMap(({ id, label, unit }) => {
    const found = figures[id];
    return found ? [[label, String(rounded(found.amount)), unit]] : [];
  });
  return ["", ...(why.length === 0 ? ["Clean."] : why), "", ...aligned(rows), "", ...aligned(astray)];
}
