import { heightWords } from "./lanes/lanes";
import { offCentre } from "@/core/motion/path/centre";
import type { HandPlan } from "@/core/motion/plan/hand-plan";
import { shapeRunsOf } from "@/core/motion/marks/plan-marks";
import { tempoWithoutWindow, type Release } from "@/core/motion/hand/release";
import { MOTION } from "@/core/physics";
import { Adjustments } from "./forms/adjustments";
import { TouchForm } from "./forms/touch-form";
import type { Tried } from "./use-plan-shown";
import type { PlanMarksInHand } from "./use-plan-marks";

interface Props {
  readonly hand: HandPlan;
  /** Place of the onset among the hand's frames. */
  readonly at: number;
  /** Quarter notes a minute. */
  readonly tempo: number;
  readonly inHand: PlanMarksInHand;
  readonly tried: Tried | null;
  readonly onTry: (tried: Tried | null) => void;
}

/** How the hand of the plan lies at one onset, its touch, and small changes to try against it. */
export function AtOnset({ hand, at, tempo, inHand, tried, onTry }: Props) {
  const frame = hand.frames[at]!;
  const release = hand.releases[at];
  const shape = shapeRunsOf(hand, inHand.marks).find((run) => run.from <= at && at <= run.to);
  const near = hand.clearances.find((c) => frame.notes.includes(c.note)) ?? null;
  const off = Math.abs(offCentre(frame));
  return (
    <section aria-label="The hand here" className="flex flex-col gap-1">
      <h3 className="font-serif text-lg">The {hand.side} hand here</h3>
      <p>
        {shape && `${sentence(shape.shape)} fingers (${shape.why})`}
        {shape?.curledFirst && "; learn it with curled fingers first"}. {turnWords(frame.supination)}, wrist{" "}
        {heightWords(frame.height)}
        {off >= 1 && `, fingers reaching ${off.toFixed(0)} mm sideways beyond comfort`}.
      </p>
      {release && <UntilNext release={release} tempo={tempo} />}
      {near && Number.isFinite(near.mm) && (
        <p>
          {near.fingers.join(" and ")} {beside(near.mm)}.
        </p>
      )}
      <TouchForm hand={hand} at={at} inHand={inHand} />
      <Adjustments hand={hand} at={at} near={near} tried={tried} onTry={onTry} />
    </section>
  );
}

/** What there is until the next onset: time to close, or too little for the way. */
function UntilNext({ release, tempo }: { readonly release: Release; readonly tempo: number }) {
  const tempoGone = tempoWithoutWindow(release, tempo, MOTION.closeMs);
  const gone = Number.isFinite(tempoGone) && tempoGone > tempo ? ` It is gone above ♩ = ${Math.floor(tempoGone)}.` : "";
  return (
    <p>
      {untilNext(release)}
      <span className="text-soft">
        {" "}
        ({release.time.toFixed(0)} ms there are, {release.travel.toFixed(0)} for the way)
      </span>
      .{release.window > 0 && gone}
    </p>
  );
}

function untilNext({ short, isOpen, window }: Release): string {
  if (short > 0) return `${short.toFixed(0)} ms too little to the next place`;
  if (isOpen && window < 1) return "The hand is kept open until the next place";
  return `${window.toFixed(0)} ms in which the hand can close`;
}

function turnWords(supination: number): string {
  const degrees = Math.abs(Math.round(supination));
  return degrees === 0 ? "Not turned" : `Turned ${degrees}° towards the ${supination < 0 ? "thumb" : "little finger"}`;
}

function sentence(words: string): string {
  return words.charAt(0).toUpperCase() + words.slice(1);
}

function beside(mm: number): string {
  const near = Math.round(Math.abs(mm));
  if (near === 0) return "just touch a key beside";
  return mm > 0 ? `clear a key beside by ${near} mm` : `lie ${near} mm too low for a key beside`;
}
