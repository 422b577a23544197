import type { HandPlan } from "@/core/motion/plan/hand-plan";
import {
  END_WORDS,
  SOURCE_WORDS,
  SOURCES,
  START_WORDS,
  STROKE_ENDS,
  STROKE_STARTS,
  type StrokeTouch,
} from "@/core/motion/hand/touch";
import type { PlanMarksInHand } from "../use-plan-marks";

/** The touch of the group that an onset belongs to, in its three parts. */
export function TouchForm({
  hand,
  at,
  inHand,
}: {
  readonly hand: HandPlan;
  readonly at: number;
  readonly inHand: PlanMarksInHand;
}) {
  const impulse = hand.impulses.find((g) => g.from <= at && at <= g.to);
  const first = impulse && hand.frames[impulse.from]?.notes[0];
  if (!impulse || !first) return null;
  const { touch } = impulse;
  const { marks, setMarks } = inHand;
  const choose = (part: Partial<Pick<StrokeTouch, "source" | "start" | "end">>): void => {
    const { source, start, end } = { ...touch, ...part };
    setMarks({
      ...marks,
      touches: { ...marks.touches, [first]: { source, start: source === "arm" ? "on-key" : start, end } },
    });
  };
  const parts = [
    [
      "Energy",
      touch.source,
      SOURCES.map((s) => [s, SOURCE_WORDS[s]]),
      (v: string) => choose({ source: v as StrokeTouch["source"] }),
    ],
    [
      "Start",
      touch.start,
      STROKE_STARTS.filter((s) => touch.source !== "arm" || s === "on-key").map((s) => [s, START_WORDS[s]]),
      (v: string) => choose({ start: v as StrokeTouch["start"] }),
    ],
    [
      "End",
      touch.end,
      STROKE_ENDS.map((s) => [s, END_WORDS[s]]),
      (v: string) => choose({ end: v as StrokeTouch["end"] }),
    ],
  ] as const;
  return (
    <fieldset className="mt-1">
      <legend className="text-soft">
        Group of {impulse.to - impulse.from + 1}, because {impulse.why}; touch: {touch.why}
      </legend>
      <div className="flex flex-wrap gap-1">
        {parts.map(([label, value, options, set]) => (
          <select
            key={label}
            aria-label={label}
            value={value}
            onChange={(event) => set(event.target.value)}
            className="min-h-11 border border-hairline bg-paper px-1 text-xs"
          >
            {options.map(([id, words]) => (
              <option key={id} value={id}>
                {words}
              </option>
            ))}
          </select>
        ))}
      </div>
    </fieldset>
  );
}
