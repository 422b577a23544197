import type { Side } from "../../hand/finger";
import { whiteWidth } from "../../keyboard/geometry";
import type { Instrument } from "../../keyboard/instrument";
import type { NoteId } from "../../passage/note";
import { KEYBOARD, PLAN } from "../../physics";
import { elbowRoom } from "../path/body";
import type { PlanFrame } from "../path/path";

/** Two leaps that land together. */
export interface LeapsTogether {
  readonly note: NoteId;
  /** mm that each hand leaps, right positive. */
  readonly right: number;
  readonly left: number;
  readonly opposite: boolean;
  /** The hand to look at: the one whose leap is harder to land. */
  readonly look: Side;
  /** Whether the other is short enough, or lands on the same shape of keys, so that it can be played unseen. */
  readonly unseen: boolean;
}

/** Where leaps of both hands fall together. Hands lists of frames, each in order of time. */
export function leapsTogether(
  { right, left }: Readonly<Record<Side, readonly PlanFrame[]>>,
  on: Instrument,
): readonly LeapsTogether[] {
  const lefts = leaps(left);
  return leaps(right).flatMap((r): LeapsTogether[] => {
    const l = lefts.find((each) => Math.abs(each.to.ms - r.to.ms) <= PLAN.together);
    if (!l) return [];
    const look = difficulty(r, on) >= difficulty(l, on) ? "right" : "left";
    const other = look === "right" ? l : r;
    return [
      {
        note: r.to.notes[0]!,
        right: r.mm,
        left: l.mm,
        opposite: Math.sign(r.mm) !== Math.sign(l.mm),
        look,
        unseen: Math.abs(other.mm) <= PLAN.unseenTo || sameShape(other),
      },
    ];
  });
}

/** Both hands in front of the body at once, where neither elbow has its room. */
export interface BothInFront {
  readonly note: NoteId;
  /** mm that the two elbows lack together. */
  readonly mm: number;
}

/** The onset at which both elbows lack most room at once; null where one of them always has it. */
export function bothInFront(
  { right, left }: Readonly<Record<Side, readonly PlanFrame[]>>,
  on: Instrument,
): BothInFront | null {
  let worst: BothInFront | null = null;
  let l = 0;
  for (const frame of right) {
    while (l + 1 < left.length && left[l + 1]!.ms <= frame.ms + PLAN.together) l++;
    const other = left[l];
    if (!other || other.ms > frame.ms + PLAN.together || frame.notes.length === 0) continue;
    const lacks = [elbowRoom(frame.wrist.at.x, "right", on), elbowRoom(other.wrist.at.x, "left", on)];
    const mm = -(lacks[0]! + lacks[1]!);
    if (lacks.every((room) => room < 0) && mm > (worst?.mm ?? 0)) worst = { note: frame.notes[0]!, mm };
  }
  return worst;
}

interface Leap {
  readonly from: PlanFrame;
  readonly to: PlanFrame;
  readonly mm: number;
}

function leaps(frames: readonly PlanFrame[]): readonly Leap[] {
  const played = frames.filter((f) => f.tips.length > 0 && f.notes.length > 0);
  return played.slice(1).flatMap((to, i) => {
    const from = played[i]!;
    const mm = to.x - from.x;
    return Math.abs(mm) >= PLAN.leapFrom ? [{ from, to, mm }] : [];
  });
}

/** Bits of Fitts' law: how far, against how narrow the key is that is met. */
function difficulty({ to, mm }: Leap, on: Instrument): number {
  const isBlack = to.frame.struck.some((p) => p.black);
  return Math.log2(1 + Math.abs(mm) / (isBlack ? KEYBOARD.blackTopWidth : whiteWidth(on)));
}

/** Whether a leap lands on the intervals that it left: the hand keeps its shape. */
function sameShape({ from, to }: Leap): boolean {
  const [a, b] = [from, to].map(({ tips }) => tips.map((t) => t.key).sort((x, y) => x - y));
  return a!.length > 1 && a!.length === b!.length && a!.every((key, i) => key - a![0]! === b![i]! - b![0]!);
}
