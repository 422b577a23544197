import { offCentre } from "@/core/motion/path/centre";
import { bodyMiddle } from "@/core/motion/path/body";
import type { HandPlan } from "@/core/motion/plan/hand-plan";
import type { Instrument } from "@/core/keyboard/instrument";
import { MOTION, PLAN } from "@/core/physics";
import type { LaneId, LanePoint, LaneSeries } from "../../score/plan/lane";
import type { PlanFrame } from "@/core/motion/path/path";

/** One lane under the score. */
export interface PlanLane {
  readonly id: LaneId;
  readonly label: string;
  /** Lines join its points, or bars stand on them. */
  readonly kind: "line" | "bars";
  series(hand: HandPlan, on: Instrument): LaneSeries;
}

/** mm or degrees that a lane shows at least, so that nothing small looks large. */
const LEAST_RANGE = 12;

const turn: PlanLane = {
  id: "turn",
  label: "Turn",
  kind: "line",
  series({ frames }) {
    const [thumb, little] = PLAN.supinationMost;
    return line(
      frames,
      "degrees",
      [
        { at: -thumb, figure: `−${thumb}°`, words: `${thumb}° to the thumb, the end of its way` },
        { at: little, figure: `${little}°`, words: `${little}° to the little finger, the end of its way` },
      ],
      ({ supination }) => ({
        value: supination,
        words: `turned ${Math.abs(supination).toFixed(0)}° towards the ${supination < 0 ? "thumb" : "little finger"}`,
        beyond: false,
      }),
    );
  },
};

const height: PlanLane = {
  id: "height",
  label: "Height",
  kind: "line",
  series({ frames }) {
    const [under, over] = PLAN.heightMost;
    return line(
      frames,
      "mm",
      [
        { at: -under, figure: `−${under}`, words: `${under} mm under its level at most` },
        { at: over, figure: `${over}`, words: `${over} mm over its level at most` },
      ],
      ({ height: mm }) => ({
        value: mm,
        words: `wrist ${heightWords(mm)}`,
        beyond: false,
      }),
    );
  },
};

const inOut: PlanLane = {
  id: "in-out",
  label: "In and out",
  kind: "line",
  series({ frames, inOuts }) {
    const base = Math.min(...frames.map((f) => f.depth));
    const jerks = new Set(inOuts.filter((i) => i.isJerk).map((i) => i.note));
    return line(frames, "mm", [], ({ depth, notes, room }) => ({
      value: depth - base,
      words: `${(depth - base).toFixed(0)} mm farther in than where it is farthest out${roomWords(depth, room.depth, ["out", "in"])}`,
      beyond: notes.some((n) => jerks.has(n)),
      room: moved(room.depth, -base),
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
    const limit = {
      at: room,
      figure: `elbow ${signed(room)}`,
      words: `from ${Math.abs(room).toFixed(0)} mm ${room < 0 ? "left" : "right"} of the start on the elbow has too little room beside the body`,
    };
    return line(frames, "mm", [limit], (frame) => ({
      value: frame.x - first,
      words: `${Math.abs(frame.x - first).toFixed(0)} mm ${frame.x < first ? "left" : "right"} of the start, ${Math.abs(offCentre(frame)).toFixed(0)} mm off the middle of its notes${roomWords(frame.x, frame.room.x, ["left", "right"])}`,
      beyond: frame.notes.some((n) => far.has(n)),
      room: moved(frame.room.x, -first),
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
  label: "Release",
  kind: "bars",
  series({ releases }) {
    const points = releases.flatMap(({ from, window, short, isOpen }): LanePoint[] => {
      if (from.length === 0) return [];
      const words = short > 0 ? `${short.toFixed(0)} ms too little for the way` : `${window.toFixed(0)} ms to close in`;
      const beyond = short > 0 || (isOpen && window < MOTION.closeMs);
      const value = short > 0 ? -short : Math.min(window, WINDOW_SHOWN);
      return [{ note: from[0]!, value, words, beyond, room: null }];
    });
    const ms = MOTION.closeMs;
    const limits = [{ at: ms, figure: `${ms} ms`, words: `${ms} ms: from here on the hand can close` }];
    const values = points.map((p) => p.value);
    const most = Math.max(2 * MOTION.closeMs, ...values);
    return { points, range: [Math.min(0, ...values), most], limits, unit: "ms" };
  },
};

/** ms of window beyond which more tells nothing. */
const WINDOW_SHOWN = 400;

export const PLAN_LANES: readonly PlanLane[] = [turn, height, inOut, sideways, shape, release];

/**
 * A line through every onset. It shows all its values, and of this player's limits what does not make them look small:
 * the rest lies at the edge.
 */
function line(
  frames: readonly PlanFrame[],
  unit: string,
  limits: LaneSeries["limits"],
  point: (frame: PlanFrame) => Omit<LanePoint, "note" | "room"> & Partial<Pick<LanePoint, "room">>,
): LaneSeries {
  const points = frames.flatMap((frame): LanePoint[] =>
    frame.notes.length === 0 || frame.tips.length === 0 ? [] : [{ note: frame.notes[0]!, room: null, ...point(frame) }],
  );
  const values = [0, ...points.map((p) => p.value)];
  const [least, most] = [Math.min(...values), Math.max(...values)];
  const span = Math.max(LEAST_RANGE, most - least);
  const rooms = points.flatMap(({ room }) => (room ? [room.least, room.most] : []));
  const near = limits.map(({ at }) => at).filter((at) => at >= least - LIMIT_IN * span && at <= most + LIMIT_IN * span);
  const inSight = rooms.map((at) => Math.min(most + ROOM_IN * span, Math.max(least - ROOM_IN * span, at)));
  const shown = [...values, ...near, ...inSight];
  const [low, high] = [Math.min(...shown), Math.max(...shown)];
  const more = Math.max(0, LEAST_RANGE - (high - low)) / 2;
  return { points, range: [low - more, high + more], unit, limits };
}

/** Times what moves that a limit for the whole may lie away to be shown in its place, and that room is shown at most. */
const LIMIT_IN = 3;
const ROOM_IN = 0.6;

function moved(room: LanePoint["room"], by: number): LanePoint["room"] {
  return room && { least: room.least + by, most: room.most + by };
}

function signed(mm: number): string {
  return `${mm < 0 ? "−" : ""}${Math.abs(mm).toFixed(0)}`;
}

/** How much farther the fingers that are down let it go, either way. */
function roomWords(value: number, room: LanePoint["room"], [back, on]: readonly [string, string]): string {
  if (!room) return "";
  const left = (mm: number): string => Math.max(0, mm).toFixed(0);
  return `; ${left(value - room.least)} mm of room ${back}, ${left(room.most - value)} mm ${on}`;
}

/** "3 mm over its level", "at its level". */
export function heightWords(mm: number): string {
  const whole = Math.round(Math.abs(mm));
  return whole === 0 ? "at its level" : `${whole} mm ${mm < 0 ? "under" : "over"} its level`;
}
