import type { Side } from "../hand/finger";
import type { Pitch } from "../keyboard/pitch";
import { PLAYING } from "../physics";
import type { Beats } from "../time/beats";
import { groupsInOrder, type Group } from "./groups";
import { goesOnBySteps, keysLainOver } from "./lain-over";
import { barAt, pulseIn, type Metre, type PassageBar, type Pulse } from "./metre";
import { handOf, inOrder, playedNotes, tuneOf, type Manner, type Passage } from "./passage";
import { strokesOf, type Stroke } from "./strokes";
import { struckTogether, type Together } from "./together";

/** A moment at which one hand strikes something. */
export interface Onset {
  readonly index: number;
  /** Quarter notes from the start of the piece. */
  readonly at: Beats;
  /** The bar as numbered on paper, the place within it in quarter notes, how it is counted, and what the place is in that. */
  readonly bar: string;
  readonly beat: Beats;
  readonly metre: Metre;
  readonly pulse: Pulse;
  readonly grace: number;
  /** ms from the start of the piece. */
  readonly ms: number;
  /** ms from the onset before; Infinity for the first. */
  readonly gap: number;
  /** Strokes that begin here, lowest key first. */
  readonly struck: readonly Stroke[];
  /** Whether all that was struck before it has ended earlier, as written. */
  readonly afterRest: boolean;
  /** Whether it goes on with a rolled chord: the hand sweeps to it in its own time and need not open to it. */
  readonly swept: boolean;
  /** Whether a group begins here that strikes its keys as the group before did its own. */
  readonly begins: boolean;
  /** Whether no line goes on to that by steps, too: the hand is set down anew on it. */
  readonly anew: boolean;
  /** Keys that the hand is set down over here, lowest first; empty where it goes along the keys. */
  readonly liesOver: readonly Pitch[];
  /** Whether it is the last of its line. */
  readonly last: boolean;
  /** What it is beyond the keys it strikes, so that like onsets can be told; empty for plain bound ones that go on. */
  readonly sign: string;
}

/** What one hand plays, onset by onset. */
export interface Line {
  readonly side: Side;
  readonly onsets: readonly Onset[];
  readonly strokes: readonly Stroke[];
  /** Groups in order, from left to right: broken chords one after another. */
  readonly groups: readonly Group[];
}

/** Lines that are kept of one passage: both hands at a tempo, and at the ones before. */
const MOST_KEPT = 8;

/** The lines that were made of a passage last, by hand and manner. */
const made = new WeakMap<Passage, Map<string, Line>>();

/** The line of one hand of a passage, at the passage's tempo: made once, for much is asked of the same one. */
export function lineOf(passage: Passage, side: Side, manner: Manner): Line {
  let lines = made.get(passage);
  if (lines === undefined) made.set(passage, (lines = new Map()));
  const { tempo, touch, loudness } = manner;
  const name = `${side} ${tempo} ${touch} ${loudness}`;
  let line = lines.get(name);
  if (line === undefined) {
    if (lines.size >= MOST_KEPT) lines.delete(lines.keys().next().value!);
    lines.set(name, (line = makeLine(passage, side, manner)));
  }
  return line;
}

function makeLine(passage: Passage, side: Side, manner: Manner): Line {
  const notes = inOrder(playedNotes(passage)).filter((note) => handOf(note, passage) === side);
  const moments = struckTogether(notes, manner.tempo);
  const strokes = strokesOf(moments, tuneOf(passage), manner);
  const onsets = moments.map((moment, i) => onsetOf(moment, strokes[i]!, i, passage.bars ?? []));
  const groups = groupsInOrder(onsets);
  const beginnings = groups.filter(({ first }, i) => groups[i - 1]?.last === first - 1);
  for (const { first } of beginnings) {
    onsets[first]!.begins = true;
    onsets[first]!.anew = !goesOnBySteps(onsets, first);
  }
  const liesOver = keysLainOver(onsets, groups);
  onsets.forEach((onset, i) => {
    onset.liesOver = liesOver[i]!;
    onset.last = i === onsets.length - 1;
    onset.sign = signOf(onset, onsets[i + 1]);
  });
  return { side, onsets, strokes: strokes.flat(), groups };
}

/** An onset while it is made: what it is in its line is known when all are there. */
type Making = { -readonly [Key in keyof Onset]: Onset[Key] };

function onsetOf(moment: Together, struck: readonly Stroke[], index: number, bars: readonly PassageBar[]): Making {
  const { onset: at, bar, beat, grace } = moment.notes[0]!;
  const counted = barAt(bars, at);
  return {
    index,
    at,
    bar,
    beat,
    metre: counted.metre,
    // A note played before or after the place it is written at is beside the beat.
    pulse: grace === 0 ? pulseIn(counted, at) : "between",
    grace,
    ms: moment.ms,
    gap: moment.gap,
    struck,
    afterRest: moment.afterRest,
    swept: moment.swept,
    begins: false,
    anew: false,
    liesOver: [],
    last: false,
    sign: "",
  };
}

/** Whether a line sets out with an onset: the first, or the first after a rest. */
export function setsOut({ index, afterRest }: Pick<Onset, "index" | "afterRest">): boolean {
  return index === 0 || afterRest;
}

/** See Onset.sign. */
function signOf(onset: Onset, next: Onset | undefined): string {
  const { struck, begins, anew, liesOver } = onset;
  const group = anew ? "anew " : begins ? "begins " : "";
  const keys = liesOver.map((key) => key - struck[0]!.key).join();
  const isPlain = struck.every((s) => isBound(s, next) && s.load === PLAYING.middling && !s.tune);
  const signs = isPlain ? "" : struck.map((s) => strokeSign(s, next)).join();
  return `${setsOut(onset) ? "sets out " : ""}${group}${keys && `over ${keys} `}${signs}`;
}

function isBound({ soundsMs }: Stroke, next: Onset | undefined): boolean {
  return next === undefined || soundsMs >= next.gap - 1;
}

function strokeSign(stroke: Stroke, next: Onset | undefined): string {
  const ends = isBound(stroke, next) ? "" : Math.round(stroke.soundsMs);
  return `${ends}/${stroke.load}${stroke.tune ? "t" : ""}`;
}
