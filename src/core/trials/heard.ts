import type { Figure } from "../figures/figure";
import { framesOf } from "../fingering/cost/price";
import { positionsOf, type Position } from "../fingering/explain/positions";
import type { Frame } from "../fingering/frames/frame";
import { digitsOf } from "../fingering/search/terms";
import type { Fingering } from "../fingering/study/fingering";
import { tasksOf, type Study } from "../fingering/study/study";
import type { Finger } from "../hand/finger";
import { impulsesOf } from "../motion/groups/impulses";
import type { NoteId } from "../passage/note";
import { HEARD } from "../physics";
import { readTake, type Run, type TakeRead } from "./alignment/read-take";
import { expectedOf, type NoteExpected, type OnsetExpected } from "./expected";
import { onsetsIn } from "./snip";
import { lineThrough, meanOf, medianOf } from "./statistics";
import type { KeyStruck, Take } from "./take";

/** A note of the passage as it was played. */
export interface NoteHeard {
  readonly note: NoteExpected;
  readonly key: KeyStruck;
  readonly isRight: boolean;
  /** The finger that was to play it; null where the fingering says none. */
  readonly finger: Finger | null;
}

/** An onset as it was played, in the run that is looked at. */
export interface OnsetHeard {
  readonly expected: OnsetExpected;
  /** The mean of when its keys went down, in ms of the take. */
  readonly ms: number;
  readonly notes: readonly NoteHeard[];
  /** ms after where the tempo about it would have it; before it, negative. null where nothing is about it. */
  readonly late: number | null;
  /** Whether a hand comes to a new position on it. */
  readonly isJoin: boolean;
  /** Whether the player has said that the time is free here. */
  readonly isFree: boolean;
}

/** A take held against its passage, with all that figures look at. */
export interface Heard {
  readonly study: Study;
  readonly take: Take;
  readonly onsets: readonly OnsetExpected[];
  readonly read: TakeRead;
  /** The run in which most notes were right; null where none was. */
  readonly run: Run | null;
  /** Of that run, in the order of the music. */
  readonly struck: readonly OnsetHeard[];
  readonly positions: readonly Position[];
  /** Of the passage, as far as they are known. */
  readonly figures: readonly Figure[];
  /** Onsets that one movement carries, by their places; of both hands where both play. */
  readonly groups: readonly (readonly number[])[];
}

/**
 * A take as figures look at it.
 * @param free notes at whose onsets the player takes time freely
 * @param figures of the passage, where they are known: finding them takes long
 */
export function heardOf(
  study: Study,
  fingering: Fingering,
  take: Take,
  free: ReadonlySet<NoteId> = new Set(),
  figures: readonly Figure[] = [],
): Heard {
  const onsets = onsetsIn(expectedOf(study), take.snip);
  const read = readTake(onsets, take);
  const positions = positionsOf(study, fingering);
  const joins = new Set(positions.flatMap(({ join, notes }) => (join ? notes.slice(0, 1) : [])));
  const run = mostRight(read);
  const struck = run === null ? [] : struckIn(onsets, read, run, fingering);
  const late = latenessOf(struck);
  return {
    study,
    take,
    onsets,
    read,
    run,
    positions,
    figures,
    groups: groupsOf(study, fingering, onsets),
    struck: struck.map((one, i): OnsetHeard => {
      const notes = one.expected.notes.flatMap((note) => note.notes);
      return {
        ...one,
        late: late[i]!,
        isJoin: notes.some((id) => joins.has(id)),
        isFree: notes.some((id) => free.has(id)),
      };
    }),
  };
}

function mostRight({ runs, read }: TakeRead): Run | null {
  const right = (run: Run): number => run.keys.filter((j) => read[j]!.kind === "right").length;
  return runs.reduce<Run | null>((best, run) => (best === null || right(run) >= right(best) ? run : best), null);
}

type Struck = Pick<OnsetHeard, "expected" | "ms" | "notes">;

function struckIn(
  onsets: readonly OnsetExpected[],
  { keys, read }: TakeRead,
  run: Run,
  fingering: Fingering,
): readonly Struck[] {
  const notes = new Map<number, NoteHeard[]>();
  for (const j of run.keys) {
    const one = read[j]!;
    if (one.kind !== "right" && one.kind !== "wrong") continue;
    const finger = (fingering[one.note.id] ?? null) as Finger | null;
    const heard = { note: one.note, key: keys[j]!, isRight: one.kind === "right", finger };
    notes.set(one.onset, [...(notes.get(one.onset) ?? []), heard]);
  }
  return [...notes]
    .sort(([a], [b]) => a - b)
    .map(([onset, heard]) => ({
      expected: onsets[onset]!,
      ms: meanOf(heard.map(({ key }) => key.downMs)),
      notes: heard,
    }));
}

/**
 * How late each onset comes against a line through those about it, nearer ones counting more, in its own stretch between
 * pauses: a slow change of tempo is in the line, a stumble is not.
 */
function latenessOf(struck: readonly Struck[]): readonly (number | null)[] {
  const stretch = stretchesOf(struck);
  return struck.map(({ expected, ms }, i) => {
    const points: [number, number, number][] = [];
    for (let k = Math.max(0, i - HEARD.about); k <= Math.min(struck.length - 1, i + HEARD.about); k++) {
      if (k === i || stretch[k] !== stretch[i]) continue;
      const far = Math.abs(k - i) / (HEARD.about + 1);
      points.push([struck[k]!.expected.at, struck[k]!.ms, (1 - far * far) ** 2]);
    }
    if (points.length < HEARD.leastAbout) return null;
    const { from, slope } = lineThrough(points);
    return ms - (from + slope * expected.at);
  });
}

/** A number for each onset that is the same until the music stands still. */
function stretchesOf(struck: readonly Struck[]): readonly number[] {
  const quarters = struck.slice(1).flatMap((now, i) => {
    const length = now.expected.at - struck[i]!.expected.at;
    return length > 0 ? [(now.ms - struck[i]!.ms) / length] : [];
  });
  const usual = medianOf(quarters);
  let stretch = 0;
  return struck.map((now, i) => {
    const before = struck[i - 1];
    const asked = before ? (now.expected.at - before.expected.at) * usual : Infinity;
    if (before && now.ms - before.ms > HEARD.pauseTimes * asked + HEARD.pauseMs) stretch++;
    return stretch;
  });
}

function groupsOf(
  study: Study,
  fingering: Fingering,
  onsets: readonly OnsetExpected[],
): readonly (readonly number[])[] {
  const places = new Map(onsets.flatMap(({ index, notes }) => notes.flatMap((n) => n.notes.map((id) => [id, index]))));
  return tasksOf(study).flatMap((task) => {
    const frames = framesOf(task, digitsOf(task.line, fingering));
    const placeOf = (frame: Frame): number | undefined => places.get(frame.onset.struck[0]!.notes[0]!);
    return impulsesOf(task, frames).map(({ from, to }) => [
      ...new Set(frames.slice(from, to + 1).flatMap((frame) => placeOf(frame) ?? [])),
    ]);
  });
}
