import type { Side } from "../../hand/finger";
import type { Onset } from "../../passage/line";
import type { Stroke } from "../../passage/strokes";
import { gapBetween } from "../../passage/together";
import { candidatesFor, type Candidate } from "../../fingering/frames/candidates";
import { frameAfter, type Frame } from "../../fingering/frames/frame";
import { costsOf } from "../../fingering/search/costs";
import type { Task } from "../../fingering/study/task";

/** Bits that tell the strokes of one onset: there are at most as many, see moments. */
const STROKE_BITS = 24;

/** Where one hand is: its last two frames, however long ago. Equal ones are one object. */
export interface Stand {
  /** Told apart from every other that is known now. */
  id: number;
  /** Of its last frame. */
  readonly name: string;
  readonly now: Frame | null;
  readonly before: Frame | null;
  /** Whether the hand let go between the two. */
  readonly letGo: boolean;
  readonly steps: Map<number, readonly HandStep[]>;
}

/** One way for a hand to go on, and the strain it adds. */
export interface HandStep {
  readonly to: Stand;
  readonly strain: number;
}

/** The moves of one hand through a line that it shares: it plays some strokes of some onsets and rests in others. */
export interface HandSteps {
  readonly side: Side;
  readonly start: Stand;
  /** The ways to play some strokes of an onset from a stand; each is worked out once. */
  from(stand: Stand, onset: Onset, strokes: readonly Stroke[]): readonly HandStep[];
  /** Forgets every stand but some, and what was worked out from all of them: the music has gone on. */
  forget(but: ReadonlySet<Stand>): void;
}

/** The steps that one hand can make from onset to onset of a passage that is being shared out. `strokeCount`: strokes of both hands in all. */
export function handSteps(task: Task, strokeCount: number): HandSteps {
  const costs = costsOf(task);
  const stands = new Map<string, Stand>();
  const candidates = new Map<number, readonly Candidate[]>();
  const noPins = new Int8Array(strokeCount);
  return { side: task.line.side, start: stand(null, "", null, false), from, forget };

  function from(at: Stand, onset: Onset, strokes: readonly Stroke[]): readonly HandStep[] {
    let bits = 0;
    for (const stroke of strokes) bits |= 1 << onset.struck.indexOf(stroke);
    const key = onset.index * 2 ** STROKE_BITS + bits;
    let steps = at.steps.get(key);
    if (steps === undefined) at.steps.set(key, (steps = stepsFrom(at, onset, strokes, key)));
    return steps;
  }

  function stepsFrom(at: Stand, onset: Onset, strokes: readonly Stroke[], key: number): readonly HandStep[] {
    const gap = at.now === null ? Infinity : gapBetween(at.now.onset.ms, onset.ms);
    const swept = onset.swept && at.now?.onset.index === onset.index - 1;
    const own: Onset = { ...onset, struck: strokes, gap, swept };
    return waysTo(key, own).map(({ struck, leftOut }, way) => {
      const frame = frameAfter(at.now, own, struck, leftOut, task);
      const letGo = costs.enter(frame, at.now);
      const pair = costs.single(frame) + costs.pair();
      const strain = pair + costs.triple(at.before, at.letGo);
      return { to: stand(frame, nameOf(frame, key, way), at, letGo), strain };
    });
  }

  function waysTo(key: number, onset: Onset): readonly Candidate[] {
    let ways = candidates.get(key);
    if (ways === undefined) candidates.set(key, (ways = candidatesFor(onset, noPins, task)));
    return ways;
  }

  function forget(but: ReadonlySet<Stand>): void {
    candidates.clear();
    for (const [known, one] of stands) {
      one.steps.clear();
      if (!but.has(one)) stands.delete(known);
    }
    let id = 0;
    for (const one of stands.values()) one.id = id++;
  }

  /** A stand is known by its last frame and the one before: what came earlier no longer matters. */
  function stand(now: Frame | null, name: string, from: Stand | null, letGo: boolean): Stand {
    const known = `${name}<${from?.name ?? ""}`;
    let found = stands.get(known);
    if (found === undefined) {
      found = { id: stands.size, name, now, before: from?.now ?? null, letGo, steps: new Map() };
      stands.set(known, found);
    }
    return found;
  }
}

/** Frames are one when the same fingers strike and hold the same strokes; a hand that strikes nothing stays where it was. */
function nameOf({ struck, held, centre }: Frame, key: number, way: number): string {
  const where = struck.length > 0 ? "" : `@${centre}`;
  return `${key}.${way}${where}.${held.map((p) => `${p.finger}:${p.stroke.index}`).join()}`;
}
