"use client";

import { useMemo, useState } from "react";
import { handIn, withHand, type HandInPicture } from "@/core/film/film-marks";
import { MARK_NAMES, marksOnKeys, mirroredBeside, type HandMarks, type MarkName } from "@/core/film/hand-marked";
import { rulerOf, type KeysMarked, type Ruler } from "@/core/film/ruler";
import type { Side } from "@/core/hand/finger";
import type { Point } from "@/core/hand/pose";
import type { Instrument } from "@/core/keyboard/instrument";
import { isBlack, pitchName, type Pitch } from "@/core/keyboard/pitch";
import type { NoteId } from "@/core/passage/note";
import type { FilmOnDesk } from "./use-film";

/** What is marked next in a film, and what has been. */
export interface Marking {
  /** White keys that bound the corners. */
  readonly ends: readonly [Pitch, Pitch];
  setEnds(ends: readonly [Pitch, Pitch]): void;
  /** Corners marked by now, px. */
  readonly corners: readonly Point[];
  readonly ruler: Ruler | null;
  readonly side: Side;
  setSide(side: Side): void;
  readonly chosen: MarkName;
  choose(mark: MarkName): void;
  /** The hand in this picture, its points on the keyboard in mm, and the other hand mirrored on it. */
  readonly hand: HandInPicture | null;
  readonly onKeys: HandMarks;
  readonly mirrored: HandMarks | null;
  readonly canMirror: boolean;
  readonly showsMirrored: boolean;
  showMirrored(shows: boolean): void;
  /** What a click marks, in words. */
  readonly next: string;
  onPoint(point: Point): void;
  setNote(note: NoteId | null): void;
  clear(): void;
  markAnew(): void;
}

const CORNERS = [
  "the front left corner of",
  "the front right corner of",
  "the right end at the fallboard of",
  "the left end at the fallboard of",
] as const;
/** Which of the two keys each corner belongs to. */
const CORNER_OF = [0, 1, 1, 0] as const;

/** @param played keys of the passage, which the corners go about at first */
export function useMarking(
  { marks, setMarks }: Pick<FilmOnDesk, "marks" | "setMarks">,
  picture: number,
  on: Instrument,
  played: readonly Pitch[],
): Marking {
  const [ends, setEnds] = useState(() => endsAbout(played));
  const [begun, setBegun] = useState<readonly Point[]>([]);
  const [side, setSide] = useState<Side>("right");
  const [chosen, choose] = useState<MarkName>("tip 1");
  const [showsMirrored, showMirrored] = useState(false);
  const { keys } = marks;
  const ruler = useMemo(() => keys && rulerOf(keys, on), [keys, on]);
  const hand = handIn(marks, picture, side);
  const onKeys = ruler && hand ? marksOnKeys(hand.marks, ruler) : NOTHING;
  const other = marks.hands.findLast((one) => one.side !== side);
  const markCorner = (point: Point): void => {
    const corners = [...begun, point];
    const isDone = corners.length === CORNERS.length;
    setBegun(isDone ? [] : corners);
    const [lowest, highest] = ends;
    if (isDone) setMarks({ ...marks, keys: { lowest, highest, corners: corners as unknown as KeysMarked["corners"] } });
  };
  const markHand = (point: Point): void => {
    setMarks(withHand(marks, picture, side, (one) => ({ ...one, marks: { ...one.marks, [chosen]: point } })));
    choose(MARK_NAMES[Math.min(MARK_NAMES.length - 1, MARK_NAMES.indexOf(chosen) + 1)]!);
  };
  return {
    ...{ ends, setEnds, ruler, side, setSide, chosen, choose, hand, onKeys, showsMirrored, showMirrored },
    corners: keys?.corners ?? begun,
    mirrored: showsMirrored && ruler && other ? mirroredBeside(marksOnKeys(other.marks, ruler), onKeys) : null,
    canMirror: other !== undefined,
    next: keys ? markWords(chosen, side) : `${CORNERS[begun.length]!} ${pitchName(ends[CORNER_OF[begun.length]!]!)}`,
    onPoint: keys ? markHand : markCorner,
    setNote: (note) => setMarks(withHand(marks, picture, side, (one) => ({ ...one, note }))),
    clear: () => setMarks({ ...marks, hands: marks.hands.filter((one) => one !== hand) }),
    markAnew: () => setMarks({ ...marks, keys: null }),
  };
}

const NOTHING: HandMarks = {};

/** The white keys that bound some keys. */
function endsAbout(keys: readonly Pitch[]): readonly [Pitch, Pitch] {
  const white = (key: number, by: 1 | -1): Pitch => (isBlack(key as Pitch) ? key + by : key) as Pitch;
  const [low, high] = keys.length > 0 ? [Math.min(...keys), Math.max(...keys)] : [60, 71];
  return [white(low, -1), white(high, 1)];
}

function markWords(mark: MarkName, side: Side): string {
  if (mark === "wrist") return `the middle of the ${side} wrist`;
  const [what, finger] = mark.split(" ");
  return what === "tip" ? `the tip of ${finger}, ${side} hand` : `the knuckle of ${finger}, ${side} hand`;
}
