import { carryTime } from "../../fingering/cost/fitts";
import { limitsOf } from "../../hand/hand";
import { keyMiddle, whiteWidth } from "../../keyboard/geometry";
import { pitchClass } from "../../keyboard/pitch";
import { MOTION, REMEDY_LOSS } from "../../physics";
import { noteName, type NoteId } from "../../passage/note";
import type { NoteRemedy } from "../../passage/remedied";
import type { Allowances } from "../allowances";
import { downAt, type Down, type Predicament } from "../predicament";
import type { Proposal, Remedy } from "../remedy";

/**
 * The chord rolled: upward before the beat, upward on the beat, downward on the beat. Loses the chord's attack;
 * more the longer it takes, where a pedal change blurs it, and where no pedal may catch what the hand lets go.
 */
export const roll: Remedy = {
  kind: "roll",
  label: "rolled",
  propose(predicament, allows) {
    const struck = predicament.down.filter((d) => d.struck);
    if (!allows.rolls || struck.length < 2) return [];
    return MANNERS.map((manner) => rolled(predicament, struck, manner, allows));
  },
};

interface RollManner {
  readonly upward: boolean;
  readonly before: boolean;
}

const MANNERS: readonly RollManner[] = [
  { upward: true, before: true },
  { upward: true, before: false },
  { upward: false, before: false },
];

function rolled(
  p: Predicament,
  struck: readonly Down[],
  { upward, before }: RollManner,
  { pedal }: Allowances,
): Proposal {
  const order = upward ? struck : [...struck].reverse();
  const stepMs = stepOf(p, order);
  const last = order.length - 1;
  const notes: Record<NoteId, NoteRemedy> = {};
  order.forEach((d, i) => (notes[d.note.id] = { kind: "roll", place: before ? i - last : i, stepMs, caught: pedal }));
  const blurred = pedal && before && changesHarmony(p);
  const inAll = Math.round(stepMs * last);
  const loss =
    REMEDY_LOSS.roll +
    (upward ? 0 : REMEDY_LOSS.rollDownward) +
    (blurred ? REMEDY_LOSS.rollBlurred : 0) +
    (pedal ? 0 : REMEDY_LOSS.rollNotCaught) +
    (order.some(({ note }) => note.accent) ? REMEDY_LOSS.rollAccented : 0) +
    REMEDY_LOSS.rollHurried * Math.min(1, inAll / timeFor(p, before)) ** 3 +
    inAll * REMEDY_LOSS.rollPerMs;
  const way = `Roll it ${upward ? "upward" : "downward"} from ${noteName(order[0]!.note)} to ${noteName(order[last]!.note)}`;
  const when = before ? "ending on the beat" : "beginning on the beat";
  const held = pedal ? "The pedal must catch it" : "Without pedal its first notes end early";
  const blur = !pedal
    ? "."
    : blurred
      ? "; the harmony changes here, and a pedal change would blur it."
      : "; no pedal change blurs it.";
  return { kind: "roll", notes, loss, words: `${way}, ${inAll} ms from first to last, ${when}. ${held}${blur}` };
}

/** ms in which a roll must be over: since the onset before where it ends on the beat, else until the next one. */
function timeFor({ task: { line }, onset }: Predicament, before: boolean): number {
  return before ? onset.gap : (line.onsets[onset.index + 1]?.gap ?? Infinity);
}

/** ms between strokes that this hand needs: fingers in a row, carried between by what they cannot open to in comfort. */
function stepOf({ task: { hand, instrument } }: Predicament, order: readonly Down[]): number {
  const extent = Math.abs(keyMiddle(order.at(-1)!.key, instrument) - keyMiddle(order[0]!.key, instrument));
  const carried = Math.max(0, extent - limitsOf(hand, 1, 5).widestComfortable) / (order.length - 1);
  return Math.round(Math.max(MOTION.rollStep, carryTime(carried, whiteWidth(instrument), hand.movement)));
}

/** Whether what sounded before has notes that are not in what sounds now: then the pedal is changed here. */
function changesHarmony({ task, onset, down, other, study }: Predicament): boolean {
  if (onset.index === 0) return false;
  const notes = new Map(study.passage.notes.map((note) => [note.id, note]));
  const before = downAt(task.line, onset.index - 1, notes);
  const now = new Set([...down, ...other].map((d) => pitchClass(d.key)));
  return before.some((d) => !now.has(pitchClass(d.key)));
}
