import { offCentre } from "@/core/motion/centre";
import { bodyMiddle } from "@/core/motion/body";
import type { HandPlan } from "@/core/motion/hand-plan";
import type { NoteId } from "@/core/passage/note";
import type { Instrument } from "@/core/keyboard/instrument";
import { MOTION, PLAN } from "@/core/physics";
import type { PlanFrame } from "@/core/motion/path";

/** What a lane of the plan draws for one hand. */
export interface LaneSeries {
  readonly points: readonly LanePoint[];
  /** Least and greatest value that the lane shows. */
  readonly range: readonly [number, number];
  /** Limits of this player that lie within the range, each with its words. */
  readonly limits: readonly { readonly at: number; readonly words: string }[];
  /** Words of the line at zero or in the middle. */
  readonly unit: string;
}

export interface LanePoint {
  readonly note: NoteId;
  readonly value: number;
  /** What it says in full. */
  readonly words: string;
  /** Whether it is beyond what is wanted. */
  readonly beyond: boolean;
}

/** One lane under the score. */
export interface PlanLane {
  readonly id: LaneId;
  readonly label: string;
  /** Lines join its points, or bars stand on them. */
  readonly kind: "line" | "bars";
  series(hand: HandPlan, on: Instrument): LaneSeries;
}

export const LANE_IDS = ["turn", "height", "in-out", "sideways", "shape", "release"] as const;
export type LaneId = (typeof LANE_IDS)[number];

/** mm or degrees that a lane shows at least, so that nothing small looks large. */
const LEAST_RANGE = 12;

const turn: PlanLane = {
  id: "turn",
  label: "Turn",
  kind: "line",
  series({ frames }) {
    const [thumb, little] = PLAN.rollMost;
    return line(
      frames,
      "degrees",
      [
        { at: -thumb, words: `${thumb}° to the thumb, the end` },
        { at: little, words: `${little}° to the little finger, the end` },
      ],
      ({ roll }) => ({
        value: roll,
        words: `turned ${Math.abs(roll).toFixed(0)}° towards the ${roll < 0 ? "thumb" : "little finger"}`,
        beyond: false,
      }),
    );
  },
};

const height: PlanLane = {
  id: "height",
  label: "Height",
  kind: "line",
  series: ({ frames }) =>
    line(frames, "mm", [], ({ height: mm }) => ({
      value: mm,
      words: `wrist ${Math.abs(mm).toFixed(0)} mm ${mm < 0 ? "under" : "over"} its level`,
      beyond: false,
    })),
};

const inOut: PlanLane = {
  id: "in-out",
  label: "In and out",
  kind: "line",
  series({ frames, inOuts }) {
    const base = Math.min(...frames.map((f) => f.depth));
    const jerks = new Set(inOuts.filter((i) => i.isJerk).map((i) => i.note));
    return line(frames, "mm", [], ({ depth, notes }) => ({
      value: depth - base,
      words: `${(depth - base).toFixed(0)} mm farther in than where it is farthest out`,
      beyond: notes.some((n) => jerks.has(n)),
    }));
  },
};

const sideways: PlanLane = {
  id: "sideways",
  label: "Sideways",
  kind: "line",
  series({ frames, side, sideways: reached }, on) {
    const first = frames[0]?.x ?? 0;
    const far = new Set(reached.map((r) => r.note));
    const room = bodyMiddle(on) + (side === "right" ? 1 : -1) * PLAN.elbowRoom - first;
    return line(frames, "mm", [{ at: room, words: "the elbow needs room from here on" }], (frame) => ({
      value: frame.x - first,
      words: `${Math.abs(frame.x - first).toFixed(0)} mm ${frame.x < first ? "left" : "right"} of the start, ${Math.abs(offCentre(frame)).toFixed(0)} mm off the middle of its notes`,
      beyond: frame.notes.some((n) => far.has(n)),
    }));
  },
};

const shape: PlanLane = {
  id: "shape",
  label: "Shape",
  kind: "line",
  series: ({ frames }) =>
    line(frames, "", [], ({ shape: as, texture }) => ({
      value: SHAPES[as],
      words: `${as}: ${texture.why}`,
      beyond: false,
    })),
};

/** Curled low, flat high: the longer the finger, the higher. */
const SHAPES = { curled: -6, natural: 0, flat: 6 } as const;

const release: PlanLane = {
  id: "release",
  label: "Letting go",
  kind: "bars",
  series({ releases }) {
    const points = releases.flatMap(({ from, window, short, isOpen }): LanePoint[] => {
      if (from.length === 0) return [];
      const words = short > 0 ? `${short.toFixed(0)} ms too little for the way` : `${window.toFixed(0)} ms to close in`;
      const beyond = short > 0 || (isOpen && window < MOTION.closeMs);
      return [{ note: from[0]!, value: short > 0 ? -short : Math.min(window, WINDOW_SHOWN), words, beyond }];
    });
    const limits = [{ at: MOTION.closeMs, words: `${MOTION.closeMs} ms: the hand can close` }];
    const values = points.map((p) => p.value);
    const most = Math.max(2 * MOTION.closeMs, ...values);
    return { points, range: [Math.min(0, ...values), most], limits, unit: "ms" };
  },
};

/** ms of window beyond which more tells nothing. */
const WINDOW_SHOWN = 400;

export const PLAN_LANES: readonly PlanLane[] = [turn, height, inOut, sideways, shape, release];

function line(
  frames: readonly PlanFrame[],
  unit: string,
  limits: LaneSeries["limits"],
  point: (frame: PlanFrame) => Omit<LanePoint, "note">,
): LaneSeries {
  const points = frames.flatMap((frame): LanePoint[] =>
    frame.notes.length === 0 || frame.tips.length === 0 ? [] : [{ note: frame.notes[0]!, ...point(frame) }],
  );
  const values = points.map((p) => p.value);
  const [low, high] = [Math.min(0, ...values), Math.max(0, ...values)];
  const more = Math.max(0, LEAST_RANGE - (high - low)) / 2;
  const range = [low - more, high + more] as const;
  return { points, range, unit, limits: limits.filter(({ at }) => at >= range[0] && at <= range[1]) };
}
