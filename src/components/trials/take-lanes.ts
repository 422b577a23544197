import { CLEAN } from "@/core/physics";
import type { OnsetReported, TakeReport } from "@/core/trials/report";
import type { LaneSeries } from "../score/plan/lane";
import type { DrawnLane } from "../score/plan/plan-lanes";

/** Least ms that the lane of lateness shows to either side. */
const LATE_SHOWN = 60;

/** The lanes of a take under the score: how late each onset came, how hard it was struck, and the tempo as it ran. */
export function takeLanes({ onsets }: Pick<TakeReport, "onsets">, tempo: number): readonly DrawnLane[] {
  return [
    lane("late", "Late", lateness(onsets)),
    lane("strength", "Strength", strength(onsets), "bars"),
    lane("tempo", "Tempo", tempoLine(onsets, tempo)),
  ];
}

function lane(id: DrawnLane["id"], label: string, series: LaneSeries, kind: DrawnLane["kind"] = "line"): DrawnLane {
  return { id, label, kind, hands: [{ side: "right", series }] };
}

function lateness(onsets: readonly OnsetReported[]): LaneSeries {
  const points = onsets.flatMap(({ note, late, isJoin }) => {
    if (late === null) return [];
    const ms = Math.abs(Math.round(late));
    const words = `${ms} ms ${late < 0 ? "early" : "late"}${isJoin ? ", at a join" : ""}`;
    return [{ note, value: late, words, beyond: isJoin && late > CLEAN.latest, room: null }];
  });
  const most = Math.max(LATE_SHOWN, ...points.map(({ value }) => Math.abs(value)));
  const figure = `${CLEAN.latest} ms`;
  return {
    points,
    range: [-most, most],
    limits: [{ at: CLEAN.latest, figure, words: `a join later than ${figure} is not clean` }],
    unit: "ms",
  };
}

function strength(onsets: readonly OnsetReported[]): LaneSeries {
  const points = onsets.map(({ note, velocity }) => ({
    note,
    value: velocity,
    words: `struck with ${velocity} of 127`,
    beyond: false,
    room: null,
  }));
  return { points, range: [0, 127], limits: [], unit: "" };
}

function tempoLine(onsets: readonly OnsetReported[], asked: number): LaneSeries {
  const points = onsets.flatMap(({ note, tempo }) =>
    tempo === null
      ? []
      : [{ note, value: tempo, words: `${Math.round(tempo)} quarter notes a minute`, beyond: false, room: null }],
  );
  const values = points.map(({ value }) => value);
  const figure = `♩ = ${Math.round(asked)}`;
  return {
    points,
    range: [Math.min(asked * 0.7, ...values), Math.max(asked * 1.3, ...values)],
    limits: [{ at: asked, figure, words: `${figure} was meant` }],
    unit: "",
  };
}
