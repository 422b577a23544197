"use client";

import { ChevronLeft, ChevronRight, Pause, Play } from "lucide-react";
import { Slider } from "radix-ui";
import { FINGERS } from "@/core/hand/finger";
import type { Instrument } from "@/core/keyboard/instrument";
import type { Pitch } from "@/core/keyboard/pitch";
import { handAt, type FingerState } from "@/core/motion/plan/moment";
import type { Plan } from "@/core/motion/plan/plan";
import { HandShape } from "../../keyboard/hand-drawing";
import { Keyboard } from "../../keyboard/keyboard";
import { Button } from "../../ui/button";
import { SideView, type SeenFromSide } from "./side-view";
import type { SlowMotionInHand } from "./use-slow-motion";

/** A plan shown in motion, under its option's letter. */
interface Shown {
  readonly name: string;
  readonly plan: Plan;
}

interface Props {
  readonly motion: SlowMotionInHand;
  readonly range: readonly [number, number];
  readonly shown: Shown;
  /** Another option in step with it; null for none. */
  readonly beside: Shown | null;
  /** Letters that could stand beside. */
  readonly others: readonly string[];
  readonly onBeside: (name: string | null) => void;
  readonly instrument: Instrument;
  readonly keys: readonly [Pitch, Pitch];
}

const SPEEDS = [1, 0.5, 0.25, 0.1, 0.05, 0.02, 0.01] as const;
/** ms of music from one still to the next. */
const STILL_MS = 20;

/** The plan in slow motion: from above, from the side, another option in step with it, and what to keep an eye on. */
export function SlowMotion({ motion, range: [from, to], shown, beside, others, onBeside, instrument, keys }: Props) {
  const { ms } = motion;
  const all = beside ? [shown, beside] : [shown];
  const seen = seenAt(shown.plan, ms);
  return (
    <div role="group" aria-label="Slow motion">
      <Moving motion={motion} range={[from, to]} beside={beside} others={others} onBeside={onBeside} />
      <div className="grid grid-cols-[1fr_13rem] gap-2">
        <div className={beside ? "grid grid-cols-2 items-end gap-2" : undefined}>
          {all.map(({ name, plan }) => (
            <div key={name} className="relative">
              {beside && (
                <span className="absolute top-0 left-1 z-10 font-serif text-lg italic [text-shadow:0_0_4px_var(--paper)]">
                  {name}
                </span>
              )}
              <Keyboard
                instrument={instrument}
                lowest={keys[0]}
                highest={keys[1]}
                front={95}
                beside={0}
                label={`The plan of option ${name} from above, at ${((ms - from) / 1000).toFixed(2)} s`}
                className="max-h-[min(12rem,18dvh)] w-full"
              >
                {seenAt(plan, ms).map(({ side, moment }) => (
                  <HandShape
                    key={side}
                    pose={moment.pose}
                    side={side}
                    striking={new Set(FINGERS.filter((f) => moment.fingers[f] === "active"))}
                  />
                ))}
              </Keyboard>
            </div>
          ))}
        </div>
        <div className={beside ? "max-w-40" : undefined}>
          <SideView hands={seen} />
          {seen.map(({ side, moment }) => (
            <p key={side} className="text-xs leading-tight">
              <span className="text-soft">{side === "right" ? "Right: " : "Left: "}</span>
              {eyesOn(moment.fingers)}
              {moment.mayClose && <strong>; the hand may close</strong>}
            </p>
          ))}
        </div>
      </div>
    </div>
  );
}

/** Moving, holding still, how fast, and what stands in step with it. */
function Moving({
  motion,
  range: [from, to],
  beside,
  others,
  onBeside,
}: Pick<Props, "motion" | "range" | "beside" | "others" | "onBeside">) {
  const { ms, running, speed } = motion;
  return (
    <div className="flex flex-wrap items-center gap-2 text-sm">
      <Button className="w-11 px-0!" aria-label="One still back" onClick={() => motion.seek(ms - STILL_MS)}>
        <ChevronLeft size={16} aria-hidden />
      </Button>
      <Button className="w-11 px-0!" aria-label={running ? "Hold still" : "Move"} onClick={motion.toggle}>
        {running ? <Pause size={16} aria-hidden /> : <Play size={16} aria-hidden />}
      </Button>
      <Button className="w-11 px-0!" aria-label="One still on" onClick={() => motion.seek(ms + STILL_MS)}>
        <ChevronRight size={16} aria-hidden />
      </Button>
      <Picked
        label="Speed"
        value={String(speed)}
        options={SPEEDS.map((s) => [String(s), s === 1 ? "full" : `1 in ${Math.round(1 / s)}`])}
        onChange={(value) => motion.setSpeed(Number(value))}
      />
      {others.length > 0 && (
        <Picked
          label="In step"
          value={beside?.name ?? ""}
          options={[["", "alone"], ...others.map((name): [string, string] => [name, `with ${name}`])]}
          onChange={(value) => onBeside(value === "" ? null : value)}
        />
      )}
      <Slider.Root
        className="relative flex h-11 min-w-32 flex-1 touch-none items-center"
        min={from}
        max={to}
        step={1}
        value={[Math.round(ms)]}
        onValueChange={([at]) => motion.seek(at!)}
      >
        <Slider.Track className="relative h-px w-full bg-ink">
          <Slider.Range className="absolute h-px bg-velvet" />
        </Slider.Track>
        <Slider.Thumb aria-label="Moment" className="block size-5 rounded-full border-2 border-velvet bg-paper" />
      </Slider.Root>
      <output className="w-20 text-right tabular-nums">{((ms - from) / 1000).toFixed(2)} s</output>
    </div>
  );
}

function seenAt(plan: Plan, ms: number): readonly SeenFromSide[] {
  return plan.hands.flatMap((hand) => {
    const moment = handAt(hand, ms);
    return moment ? [{ side: hand.side, moment }] : [];
  });
}

/** "3 plays, 1 holds, 2 4 5 loose". */
function eyesOn(fingers: Readonly<Record<number, FingerState>>): string {
  const those = (state: FingerState): string => FINGERS.filter((f) => fingers[f] === state).join(" ");
  const parts = [
    [those("active"), "plays"],
    [those("held"), "down"],
    [those("loose"), "loose"],
  ] as const;
  return parts.flatMap(([which, words]) => (which === "" ? [] : [`${which} ${words}`])).join(", ");
}

interface PickedProps {
  readonly label: string;
  readonly value: string;
  readonly options: readonly (readonly [string, string])[];
  readonly onChange: (value: string) => void;
}

function Picked({ label, value, options, onChange }: PickedProps) {
  return (
    <label className="flex items-center gap-1.5">
      <span className="text-soft">{label}</span>
      <select
        value={value}
        onChange={(event) => onChange(event.target.value)}
        className="min-h-11 border border-hairline bg-paper px-2"
      >
        {options.map(([key, words]) => (
          <option key={key} value={key}>
            {words}
          </option>
        ))}
      </select>
    </label>
  );
}
