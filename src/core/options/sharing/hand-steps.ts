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
  readonly last: Last;
  readonly now: Frame | null;
  readonly before: Frame | null;
  /** Whether the hand let go between the two. */
  readonly letGo: boolean;
  readonly steps: Map<number, readonly HandStep[]>;
}

/** The last frame of some stands, and what follows from it alone: the same for all of them. */
interface Last {
  readonly name: string;
  readonly entered: Map<number, readonly Entered[]>;
}

/** A frame that a hand goes on to. */
interface Entered {
  readonly frame: Frame;
  readonly name: string;
  readonly letGo: boolean;
  /** Strain but for what the frame before the last adds. */
  readonly strain: number;
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
  const stands = new Stands();
  const candidates = new Map<number, readonly Candidate[]>();
  const noPins = new Int8Array(strokeCount);
  return { side: task.line.side, start: stands.of(null, "", null, false), from, forget };

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
    let entered = at.last.entered.get(key);
    if (entered === undefined) at.last.entered.set(key, (entered = enteredFrom(at.now, own, key)));
    return entered.map(({ frame, name, letGo, strain }) => {
      costs.resume(frame, at.now, letGo);
      return { to: stands.of(frame, name, at, letGo), strain: strain + costs.triple(at.before, at.letGo) };
    });
  }

  function enteredFrom(before: Frame | null, onset: Onset, key: number): readonly Entered[] {
    return waysTo(key, onset).map(({ struck, leftOut }, way) => {
      const frame = frameAfter(before, onset, struck, leftOut, task);
      const letGo = costs.enter(frame, before);
      return { frame, name: nameOf(frame, key, way), letGo, strain: costs.single(frame) + costs.pair() };
    });
  }

  function waysTo(key: number, onset: Onset): readonly Candidate[] {
    let ways = candidates.get(key);
    if (ways === undefined) candidates.set(key, (ways = candidatesFor(onset, noPins, task)));
    return ways;
  }

  function forget(but: ReadonlySet<Stand>): void {
    candidates.clear();
    stands.forget(but);
  }
}

/** The stands that are known now. */
class Stands {
  private readonly byName = new Map<string, Stand>();
  private readonly lasts = new Map<string, Last>();

  /** A stand is known by its last frame and the one before: what came earlier no longer matters. */
  of(now: Frame | null, name: string, from: Stand | null, letGo: boolean): Stand {
    const known = `${name}<${from?.last.name ?? ""}`;
    let found = this.byName.get(known);
    if (found === undefined) {
      const last = this.lasts.get(name) ?? { name, entered: new Map<number, readonly Entered[]>() };
      this.lasts.set(name, last);
      found = { id: this.byName.size, last, now, before: from?.now ?? null, letGo, steps: new Map() };
      this.byName.set(known, found);
    }
    return found;
  }

  forget(but: ReadonlySet<Stand>): void {
    this.lasts.clear();
    for (const [known, one] of this.byName) {
      one.steps.clear();
      one.last.entered.clear();
      if (but.has(one)) this.lasts.set(one.last.name, one.last);
      else this.byName.delete(known);
    }
    let id = 0;
    for (const one of this.byName.values()) one.id = id++;
  }
}

/** Frames are one when the same fingers strike and hold the same strokes; a hand that strikes nothing stays where it was. */
function nameOf({ struck, held, centre }: Frame, key: number, way: number): string {
  const where = struck.length > 0 ? "" : `@${centre}`;
  return `${key}.${way}${where}.${held.map((p) => `${p.finger}:${p.stroke.index}`).join()}`;
}
