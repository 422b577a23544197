import { drain } from "../drain";
import type { Side } from "../hand/finger";
import { WEIGHTS } from "../fingering/cost/weights";
import type { Study } from "../fingering/study/study";
import { sharing } from "../options/sharing/sharing";
import type { Note, NoteId } from "../passage/note";
import { inOrder } from "../passage/passage";
import { byRegister } from "./by-register";
import { TRANSCRIPTION } from "../physics";
import type { Pitch } from "../keyboard/pitch";
import { compare, type Beats } from "../time/beats";

/** A key that one of the hands plays. */
export interface Unshared {
  readonly key: Pitch;
  readonly at: Beats;
  readonly length: Beats;
}

/** The player whose hands they are. */
export type Player = Pick<Study, "hands" | "instrument" | "placements">;

/**
 * Tells the hands apart by what they cost: the keys are shared out between the hands of a player as any passage is, no key
 * being written for either. Long music is shared out stretch by stretch, each beginning where the last one ended, so that time
 * and memory stay bounded.
 * @param keys in order of time, the lowest first
 */
export function handsByCost(keys: readonly Unshared[], player: Player, tempo: number): readonly Side[] {
  const sides: Side[] = [];
  const manner = { tempo, touch: "legato", pedal: true } as const;
  const weights = { ...WEIGHTS, handChanged: TRANSCRIPTION.takenByCost * WEIGHTS.handChanged };
  const register = byRegister(keys);
  const known = new Map<NoteId, Side>();
  for (const { from, begins, to } of stretches(keys)) {
    const notes = inOrder(keys.slice(from, to).map((one, i) => noteOf(one, from + i, register[from + i]!)));
    // What was shared out already is not asked again: it only says where the hands are.
    const taken = Object.fromEntries(notes.flatMap(({ id }) => (known.has(id) ? [[id, known.get(id)!]] : [])));
    const passage = { notes, hands: "both", staves: 2, taken } as const;
    const shared = drain(
      sharing(
        { ...player, passage, manner, weights },
        { allowed: "marked", marked: between(notes) },
        TRANSCRIPTION.waysKept,
      ),
    );
    notes.forEach((note) => {
      const side = shared.taken[note.id] ?? taken[note.id] ?? (note.staff === 1 ? "right" : "left");
      const index = Number(note.id.slice(1));
      if (index >= begins) known.set(note.id, (sides[index] = side));
    });
  }
  return sides;
}

/** Of each moment the key of either hand that lies nearest to the other: what could as well be the other's. */
function between(notes: readonly Note[]): readonly NoteId[] {
  return notes.flatMap((note, i) => {
    const [below, above] = [notes[i - 1], notes[i + 1]];
    const isLowest = note.staff === 1 && (below?.onset !== note.onset || below.staff === 2);
    const isHighest = note.staff === 2 && (above?.onset !== note.onset || above.staff === 1);
    return isLowest || isHighest ? [note.id] : [];
  });
}

/** Stretches of so many onsets, each with the last ones of the stretch before. */
function* stretches(keys: readonly Unshared[]): Generator<{ from: number; begins: number; to: number }> {
  const onsets: number[] = [];
  keys.forEach(({ at }, i) => {
    if (i === 0 || compare(at, keys[i - 1]!.at) !== 0) onsets.push(i);
  });
  for (let at = 0; at < onsets.length; at += TRANSCRIPTION.onsetsShared)
    yield {
      from: onsets[Math.max(0, at - TRANSCRIPTION.onsetsRepeated)]!,
      begins: onsets[at]!,
      to: onsets[at + TRANSCRIPTION.onsetsShared] ?? keys.length,
    };
}

function noteOf({ key, at, length }: Unshared, index: number, side: Side): Note {
  return {
    id: `k${index}` as NoteId,
    tied: [],
    pitch: key,
    staff: side === "right" ? 1 : 2,
    voice: "1",
    onset: at,
    duration: length,
    grace: 0,
    bar: "1",
    beat: at,
    printed: null,
  };
}
