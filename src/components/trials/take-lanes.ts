import { CLEAN } from "@/core/physics";
import type { OnsetReported, TakeReport } from "@/core/trials/report";
import type { LaneSeries } from "../score/plan/lane";
import type { DrawnLane } from "../score/plan/plan-lanes";

/** Least ms that the lane of lateness shows to either side. */
const LATE_SHOWN = 60;

/** A take whose lanes are drawn. */
interface TakeDrawn {
  readonly name: string;
  readonly report: Pick<TakeReport, "onsets">;
  /** Quarter notes a minute that were meant. */
  readonly tempo: number;
}

/**
 * The lanes of takes under the score, one row a take: how late each onset came, how hard it was struck, and the tempo as it
 * ran.
 */
export function takeLanes(takes: readonly TakeDrawn[]): readonly DrawnLane[] {
  if (takes.length === 0) return [];
  const rows = (of: (take: TakeDrawn) => LaneSeries) => takes.map((take) => ({ name: take.name, series: of(take) }));
  return [
    { id: "late", label: "Late", kind: "line", rows: rows(({ report }) => lateness(report.onsets)) },
    { id: "strength", label: "Strength", kind: "bars", rows: rows(({ report }) => strength(report.onsets)) },
    { id: "tempo", label: "Tempo", kind: "line", rows: rows(({ report, tempo }) => tempoLine(report.onsets, tempo)) },
  ];
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
