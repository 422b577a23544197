import type { LaneId } from "../../score/plan/lane";
import { PLAN_LANES } from "./lanes";

/** The lanes of the plan: which stand under the score, and which are folded. */
export function LaneSwitches({ shown, onToggle }: { shown: readonly LaneId[]; onToggle: (lane: LaneId) => void }) {
  return (
    <div role="group" aria-label="Lanes under the score" className="flex flex-wrap gap-x-3 text-sm">
      {PLAN_LANES.map(({ id, label }) => (
        <button
          key={id}
          type="button"
          aria-pressed={shown.includes(id)}
          onClick={() => onToggle(id)}
          className="min-h-9 text-soft aria-pressed:text-ink aria-pressed:underline aria-pressed:decoration-velvet aria-pressed:decoration-2 aria-pressed:underline-offset-4"
        >
          {label}
        </button>
      ))}
    </div>
  );
}
