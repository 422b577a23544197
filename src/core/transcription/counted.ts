import { TRANSCRIPTION } from "../physics";
import { add, later, ZERO, type Beats } from "../time/beats";
import { beatByEar, costOfBeat } from "./beat-by-ear";
import type { Choices } from "./choices";
import { griddedAt, type Cell } from "./grid";
import type { Heard, KeyHeard } from "./heard";
import { isOnPlace, ornamentsIn, type Ornaments } from "./ornaments";

/** Keys with their place in time as it is written. */
export interface Counted {
  readonly beat: "file" | "ear";
  /** Whether the places are those of a score, written out exactly. */
  readonly isExact: boolean;
  readonly tempo: number;
  /** By key: its written onset, another that would be nearly as good, and when it is let go, on the same count. */
  readonly keys: readonly KeyCounted[];
  readonly cells: readonly Cell[];
  readonly ornaments: Ornaments;
}

export interface KeyCounted {
  readonly at: Beats;
  readonly otherwise: Beats | null;
  /** Quarter notes. */
  readonly ends: number;
}

/** Finds the beat of some keys, and puts every key on its place in it. */
export function countedBy(heard: Heard, { beat: asked, finest = 32 }: Choices): Counted {
  const { keys } = heard;
  const isExact = asked !== "ear" && heard.division !== null && isWrittenOut(keys);
  const ornaments = ornamentsIn(keys, isExact);
  const moments = momentsOf(keys, ornaments, isExact);
  const way = isExact ? byFile(moments, heard) : byWhich(moments, heard, asked);
  const spread = isExact ? TRANSCRIPTION.exactOff : way.spread;
  const gridded = griddedAt(way.quarters, spread, isExact ? 32 : finest);
  const places = new Map<number, number>();
  moments.forEach(({ members }, i) => {
    for (const member of members) places.set(member, i);
  });
  const own = keys.map((key, i): KeyCounted => {
    const moment = places.get(graceTo(i, ornaments));
    const at = moment === undefined ? ZERO : gridded.places[moment]!;
    const otherwise = moment === undefined ? null : gridded.otherwise[moment]!;
    return { at, otherwise, ends: way.quarterAt(key, "ends") };
  });
  return { beat: way.beat, isExact, tempo: way.tempo, keys: own, cells: gridded.cells, ornaments };
}

/** A grace note stands where its note does. */
function graceTo(index: number, { graces }: Ornaments): number {
  const grace = graces.get(index);
  return grace ? graceTo(grace.to, { graces } as Ornaments) : index;
}

/** Whether a file's keys stand where a score has them: nobody plays so. */
function isWrittenOut(keys: readonly KeyHeard[]): boolean {
  return keys.filter(({ at }) => isOnPlace(at)).length >= TRANSCRIPTION.exactShare * keys.length;
}

/** Keys struck together, by their indices. */
interface Moment {
  readonly members: readonly number[];
  readonly at: number;
  readonly ms: number;
  readonly weight: number;
}

function momentsOf(keys: readonly KeyHeard[], { graces, inTrill }: Ornaments, isExact: boolean): readonly Moment[] {
  const groups: number[][] = [];
  keys.forEach((key, i) => {
    if (graces.has(i) || inTrill.has(i)) return;
    const first = groups.at(-1)?.[0];
    const isWith =
      first !== undefined &&
      (isExact
        ? key.at - keys[first]!.at < TRANSCRIPTION.exactOff
        : key.ms - keys[first]!.ms < TRANSCRIPTION.togetherMs);
    if (isWith) groups.at(-1)!.push(i);
    else groups.push([i]);
  });
  return groups.map((members): Moment => {
    const own = members.map((i) => keys[i]!);
    const mean = (of: (key: KeyHeard) => number): number => own.reduce((sum, key) => sum + of(key), 0) / own.length;
    return { members, at: mean(({ at }) => at), ms: mean(({ ms }) => ms), weight: weightOf(own) };
  });
}

/** How much a moment stands out: by how many keys, how loud and how long they are. 1 for one plain key. */
function weightOf(keys: readonly Pick<KeyHeard, "velocity" | "ms" | "msEnds">[]): number {
  const each = keys.map(({ velocity, ms, msEnds }) => (velocity / 64) * Math.min(2, 0.5 + (msEnds - ms) / 600));
  return Math.sqrt(each.reduce((sum, one) => sum + one, 0));
}

interface BeatTaken {
  readonly beat: "file" | "ear";
  readonly quarters: readonly number[];
  readonly tempo: number;
  readonly spread: number;
  quarterAt(key: KeyHeard, end: "ends"): number;
}

function byFile(moments: readonly Moment[], heard: Heard): BeatTaken {
  return {
    beat: "file",
    quarters: moments.map(({ at }) => Math.max(0, at)),
    tempo: heard.tempo,
    spread: (TRANSCRIPTION.spreadMs * heard.tempo) / 60_000,
    quarterAt: ({ ends }) => ends,
  };
}

function byEar(moments: readonly Moment[]): BeatTaken {
  const { quarters, tempo } = beatByEar(moments);
  return {
    beat: "ear",
    quarters,
    tempo,
    spread: (TRANSCRIPTION.spreadMs * tempo) / 60_000,
    quarterAt: ({ msEnds }) => between(moments, quarters, msEnds, tempo),
  };
}

/** The file's own beat where the player says so or it is the better one, else the one found by ear. */
function byWhich(moments: readonly Moment[], heard: Heard, asked: Choices["beat"]): BeatTaken {
  if (asked === "file" && heard.division !== null) return byFile(moments, heard);
  const ear = byEar(moments);
  if (asked === "ear" || heard.division === null) return ear;
  const file = byFile(moments, heard);
  const costOf = ({ quarters, tempo }: BeatTaken): number => costOfBeat(quarters, tempo);
  return costOf(file) <= costOf(ear) * TRANSCRIPTION.earEarned ? file : ear;
}

/** Quarter notes at a time, between two moments in proportion; past the last at the tempo. */
function between(moments: readonly Moment[], quarters: readonly number[], ms: number, tempo: number): number {
  let [low, high] = [0, moments.length - 1];
  while (low < high) {
    const middle = (low + high + 1) >> 1;
    if (moments[middle]!.ms <= ms) low = middle;
    else high = middle - 1;
  }
  const [a, b] = [moments[low], moments[low + 1]];
  if (!a) return 0;
  if (!b || b.ms <= a.ms) return quarters[low]! + ((ms - a.ms) * tempo) / 60_000;
  return quarters[low]! + ((ms - a.ms) * (quarters[low + 1]! - quarters[low]!)) / (b.ms - a.ms);
}

/** When the last of some notes ends, in quarter notes; 0 for none. */
export function endOfAll(notes: readonly { readonly at: Beats; readonly length: Beats }[]): Beats {
  return notes.reduce<Beats>((last, { at, length }) => later(last, add(at, length)), ZERO);
}
