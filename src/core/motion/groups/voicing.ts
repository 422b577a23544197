import type { Finger, Side } from "../../hand/finger";
import type { NoteId } from "../../passage/note";
import type { PlanFrame } from "../path/path";

/** How a note of the tune is carried. */
export interface Voiced {
  readonly note: NoteId;
  readonly finger: Finger;
  /** Where the hand leans for it. */
  readonly lean: "thumb" | "little finger" | "neither";
  /** mm that the finger stands from the hand's axis, without sign: the nearer, the more of the arm is over it. */
  readonly fromAxis: number;
}

/** The notes of the tune, with the finger that carries each. A finger left or right of the middle is leant towards. */
export function voicingOf(side: Side, frames: readonly PlanFrame[]): readonly Voiced[] {
  const mirror = side === "right" ? 1 : -1;
  return frames.flatMap(({ frame: { struck }, tips, wrist }) =>
    struck.flatMap(({ stroke, finger }): Voiced[] => {
      const tip = tips.find((t) => t.finger === finger);
      if (!stroke.tune || !tip) return [];
      const axis = wrist.at.x + mirror * (tip.at.y - wrist.at.y) * Math.tan((wrist.ulnarDeviation * Math.PI) / 180);
      const lean = finger < 3 ? "thumb" : finger > 3 ? "little finger" : "neither";
      return [{ note: stroke.notes[0]!, finger, lean, fromAxis: Math.abs(tip.at.x - axis) }];
    }),
  );
}
