import { notesInDoubt } from "@/core/fingering/explain/in-doubt";
import { positionsOf } from "@/core/fingering/explain/positions";
import type { Fingering, Pins } from "@/core/fingering/study/fingering";
import { studyOf, type StudyData } from "@/core/fingering/study/study-data";
import { withTouches, withTune, type PlanMarks } from "@/core/motion/marks/plan-marks";
import { OWN_WORDS, ownSigns, signsOf, type SignPlaced, type SignsShown } from "@/core/motion/marks/signs";
import { planOf } from "@/core/motion/plan/plan";
import type { Note, NoteId } from "@/core/passage/note";
import { handOf, playedNotes, type Redistribution } from "@/core/passage/passage";
import type { NoteRemedies, NoteRemedy } from "@/core/passage/remedied";
import { heardOf } from "@/core/trials/heard";
import { reportOf, type MarkHeard } from "@/core/trials/report";
import type { Take } from "@/core/trials/take";
import { barsMidi } from "@/formats/midi/part-midi";
import { writeBeside } from "@/formats/musicxml/writing/write-beside";
import { writeFile, writeFingering } from "@/formats/musicxml/writing/write-fingering";
import { opened, type BarsAsked } from "./scores";

/** An option as it is written into a file. */
interface OptionAsked {
  readonly study: StudyData;
  readonly digits: Fingering;
  readonly pins: Pins;
  readonly planMarks: PlanMarks;
  /** All digits, or those that a pianist would write; see core/fingering/explain/in-doubt. */
  readonly written: "all" | "doubt";
  /** The player's own signs, or those of the hand plan as well. */
  readonly signs: SignsShown;
}

export type ExportAsked = BarsAsked & OptionAsked;

export interface FileWritten {
  readonly bytes: Uint8Array;
  readonly isPacked: boolean;
}

/** The file a piece came in, with digits, signs and remedies in it. */
export function exportedFile(asked: ExportAsked): FileWritten {
  const { score } = opened(asked);
  return { bytes: writeFile(score, scoreWith(asked, asked)), isPacked: score.package !== null };
}

export interface BesideAsked extends BarsAsked {
  readonly title: string;
  readonly options: readonly (OptionAsked & { readonly name: string })[];
}

/** A passage as a score of its own, with the digits of its options one under another; of one alone, without its name. */
export function passageFile(asked: BesideAsked): FileWritten {
  const readings = asked.options.map((option) => ({
    name: asked.options.length === 1 ? null : `Option ${option.name}`,
    xml: scoreWith(asked, option, [...signsWritten(option), ...joinsWritten(option)]),
  }));
  return { bytes: new TextEncoder().encode(writeBeside(readings, asked)), isPacked: false };
}

export interface TakeAskedOf extends BesideAsked {
  readonly take: Take;
}

/** The passage with what went astray in a take as words at its notes. */
export function takeFile({ take, ...asked }: TakeAskedOf): FileWritten {
  const [option] = asked.options;
  const study = studyOf({ ...option!.study, manner: { ...option!.study.manner, tempo: take.tempo } });
  const { marks } = reportOf(heardOf(study, option!.digits, take, new Set(option!.planMarks.free)));
  const hands = new Map(study.passage.notes.map((note) => [note.id, handOf(note, study.passage)]));
  const signs = marks.map((mark, i): SignPlaced => {
    const side = hands.get(mark.note) ?? "right";
    const place = { note: mark.note, to: null, side, above: side === "right", own: true };
    return { ...place, key: `take ${i}`, sign: OWN_WORDS, words: wordsOf(mark) };
  });
  const xml = scoreWith(asked, option!, signs);
  return { bytes: new TextEncoder().encode(writeBeside([{ name: null, xml }], asked)), isPacked: false };
}

/** What went astray, in a word or two. */
function wordsOf({ kind, semitones }: MarkHeard): string {
  const off = semitones === 0 ? "" : `, ${Math.abs(semitones)} ${semitones > 0 ? "up" : "down"}`;
  return { missed: "missed", wrong: `wrong${off}`, neighbour: `beside${off}`, twice: "twice", added: `added${off}` }[
    kind
  ];
}

/** A passage as it is played with an option, as a Standard MIDI File, its digits and signs as words. */
export function passageMidi(asked: BesideAsked): FileWritten {
  const { part } = opened(asked);
  const [option] = asked.options;
  const { passage, manner } = option!.study;
  const digits = digitsOf(option!);
  const notes = playedNotes(passage);
  const hand = new Map(notes.map((note) => [note.id, handOf(note, passage)]));
  const onsets = new Map(notes.map((note) => [note.id, note.onset]));
  const words = [
    ...notes.flatMap(({ id, onset }) => {
      const digit = digits[id];
      return digit ? [{ at: onset, side: hand.get(id)!, text: String(digit) }] : [];
    }),
    ...[...signsWritten(option!), ...joinsWritten(option!)].flatMap(({ note, side, words: text }) => {
      const at = onsets.get(note);
      return at === undefined ? [] : [{ at, side, text }];
    }),
  ];
  const bars = { fromBar: asked.fromBar, toBar: asked.toBar, tempo: manner.tempo };
  const bytes = barsMidi(part, { ...bars, title: asked.title, notes, words, handOf: ({ id }) => hand.get(id)! });
  return { bytes, isPacked: false };
}

/** The whole score with what an option has: its digits, its signs, and what is done to its notes. */
function scoreWith(asked: BarsAsked, option: OptionAsked, signs = signsWritten(option)): string {
  const { score, part } = opened(asked);
  const { passage } = option.study;
  const hands = new Map(passage.notes.map((note) => [note.id, handOf(note, passage)]));
  return writeFingering(score, part, {
    fingering: digitsOf(option),
    handOf: (note) => hands.get(note) ?? "right",
    signs,
    remedies: onEveryHead(passage.notes, { ...handsTaken(passage.taken ?? {}), ...passage.remedies }),
  });
}

/** Where each position begins and how the hand comes to it, in words, for no format has a sign for it; where all signs are wanted. */
function joinsWritten({ study: given, digits, signs }: OptionAsked): readonly SignPlaced[] {
  if (signs !== "all") return [];
  return positionsOf(studyOf(given), digits).flatMap(({ side, notes: [note], join }, i): readonly SignPlaced[] => {
    if (note === undefined) return [];
    const place = { note, to: null, side, above: side === "right", own: false };
    return [{ ...place, key: `position ${i}`, sign: OWN_WORDS, words: join ? join.kind : "position" }];
  });
}

function digitsOf(option: OptionAsked): Fingering {
  return option.written === "all" ? option.digits : digitsInDoubt(option);
}

/** The digits that a pianist would write; every other note is left without one. */
function digitsInDoubt({ study, digits, pins }: OptionAsked): Fingering {
  const written = notesInDoubt(studyOf(study), digits, pins);
  return Object.fromEntries(
    Object.entries(digits).map(([id, finger]) => [id, written.has(id as NoteId) ? finger : null]),
  ) as Fingering;
}

/** The signs of an option's plan as they stand on the score. */
function signsWritten({ study: given, digits, planMarks, signs }: OptionAsked): readonly SignPlaced[] {
  const study = studyOf(given);
  const hands = new Map(study.passage.notes.map((note) => [note.id, handOf(note, study.passage)]));
  const sideOf = (note: NoteId) => hands.get(note) ?? "right";
  if (signs === "own") return ownSigns(planMarks, sideOf);
  const plan = planOf(withTune(study, planMarks), digits);
  const touched = { ...plan, hands: plan.hands.map((hand) => withTouches(hand, planMarks)) };
  return signsOf(touched, planMarks, sideOf, signs);
}

/** A note tied on is marked on every head that it has. */
function onEveryHead(notes: readonly Note[], remedies: NoteRemedies): NoteRemedies {
  const all: Record<NoteId, NoteRemedy> = { ...remedies };
  for (const { id, tied } of notes) {
    const remedy = remedies[id];
    if (remedy && ["omit", "fold", "other-hand"].includes(remedy.kind)) for (const head of tied) all[head] = remedy;
  }
  return all;
}

/** A note that is taken over is marked like one that a remedy gives to the other hand. */
function handsTaken(taken: Redistribution): NoteRemedies {
  return Object.fromEntries(Object.entries(taken).map(([note, hand]) => [note, { kind: "other-hand", hand }]));
}
