import { counted } from "@/core/counted";
import type { TrialMap } from "@/core/trials/map";
import type { LaneSeries } from "../score/plan/lane";
import type { DrawnLane } from "../score/plan/plan-lanes";

/** The map of an option's takes under the score: faults a take, and tension felt, over the strain that was predicted. */
export function mapLanes({ onsets, takes }: TrialMap): readonly DrawnLane[] {
  const faults = series(
    onsets.map(({ note, faults: amount }) => ({ note, value: amount, words: faultWords(amount, takes) })),
    Math.max(0.2, ...onsets.map((onset) => onset.faults)),
  );
  const felt = onsets.flatMap(({ note, tension, bar }) =>
    tension === null ? [] : [{ note, value: tension, words: `tension of ${tension.toFixed(1)} of 10 in bar ${bar}` }],
  );
  const lanes: DrawnLane[] = [
    { id: "faults", label: "Faults", kind: "bars", rows: [{ name: "faults", series: faults }] },
  ];
  if (felt.length > 0)
    lanes.push({
      id: "tension",
      label: "Tension felt",
      kind: "line",
      rows: [{ name: "tension", series: series(felt, 10) }],
    });
  return lanes;
}

function series(
  points: readonly { note: LaneSeries["points"][number]["note"]; value: number; words: string }[],
  most: number,
): LaneSeries {
  return { points: points.map((p) => ({ ...p, beyond: false, room: null })), range: [0, most], limits: [], unit: "" };
}

function faultWords(faults: number, takes: number): string {
  return `${faults === 0 ? "no fault" : counted(faults * takes, "fault")} in ${counted(takes, "take")}`;
}
