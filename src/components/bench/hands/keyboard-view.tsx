import { memo, useMemo } from "react";
import type { Step } from "@/core/fingering/study/steps";
import type { Fingering } from "@/core/fingering/study/fingering";
import type { Study } from "@/core/fingering/study/study";
import { startOf } from "@/core/fingering/study/sounding";
import type { Side } from "@/core/hand/finger";
import type { Pose } from "@/core/hand/pose";
import { handAt } from "@/core/motion/plan/moment";
import type { Plan } from "@/core/motion/plan/plan";
import { KEYBOARD } from "@/core/physics";
import type { Pitch } from "@/core/keyboard/pitch";
import { handOf, handsAsked } from "@/core/passage/passage";
import { HandTried } from "../../keyboard/hand-drawing";
import { Keyboard } from "../../keyboard/keyboard";
import { StruckKeys } from "../../keyboard/struck-keys";
import { MovingHands, type Poses } from "./moving-hands";
import { stillsOf } from "./stills";

interface Props {
  readonly study: Study;
  readonly steps: readonly Step[];
  readonly at: number;
  readonly fingering: Fingering;
  readonly label: string;
  /** When each step is struck, and where playing stands, in quarter notes; null while nothing is played. */
  readonly times: readonly number[];
  readonly clock: (() => number | null) | null;
  /** The plan by which the hands move while it is played; straight from step to step without one. */
  readonly plan: Plan | null;
  /** Whether it leaves room for more above it. */
  readonly low: boolean;
  /** Another way for a hand to lie, to be held against the one it has. */
  readonly tried: Pose | null;
  /** Keys that were struck at this step, and that were to be; null where no take is looked at. */
  readonly struck: { readonly keys: readonly Pitch[]; readonly asked: readonly Pitch[] } | null;
}

/** Keys shown at least: what fits beside one another at the height there is. */
const LEAST_KEYS = 66;

/** The keyboard in millimetres with the hands as they lie at one step, and faintly where they go next. */
export const KeyboardView = memo(function KeyboardView({
  study,
  steps,
  at,
  fingering,
  label,
  times,
  clock,
  plan,
  low,
  tried,
  struck,
}: Props) {
  const stills = useMemo(() => stillsOf(study, steps, fingering), [study, steps, fingering]);
  const planned = useMemo(() => (plan ? plannedHands(plan, startOf(study)) : null), [plan, study]);
  const [lowest, highest] = useMemo(() => keyRange(study), [study]);
  return (
    <Keyboard
      instrument={study.instrument}
      lowest={lowest}
      highest={highest}
      front={low ? 40 : 95}
      beside={0}
      label={label}
      className={`w-full ${low ? "max-h-[min(12rem,22dvh)]" : "max-h-[min(15rem,32dvh)]"}`}
    >
      <MovingHands stills={stills} at={at} times={times} clock={clock} planned={planned} />
      {tried && <HandTried pose={tried} />}
      {struck && <StruckKeys instrument={study.instrument} {...struck} />}
    </Keyboard>
  );
});

/** Both hands at a moment of playing, in quarter notes from the start of the passage. */
function plannedHands({ tempo, hands }: Plan, start: number): (moment: number) => Poses {
  return (moment) => {
    const pose = (side: Side): Pose | null => {
      const hand = hands.find((h) => h.side === side);
      return (hand && handAt(hand, ((start + moment) * 60_000) / tempo)?.pose) ?? null;
    };
    return { right: pose("right"), left: pose("left") };
  };
}

/** The keys of the passage with a hand's breadth beside them. */
export function keyRange({ passage }: Study): [Pitch, Pitch] {
  const hands = handsAsked(passage);
  const pitches = passage.notes.filter((n) => hands.includes(handOf(n, passage))).map((n) => n.pitch as number);
  let [low, high] = pitches.length > 0 ? [Math.min(...pitches) - 6, Math.max(...pitches) + 6] : [48, 84];
  while (high - low < LEAST_KEYS) [low, high] = [low - 1, high + 1];
  return [white(Math.max(KEYBOARD.lowestKey, low), -1), white(Math.min(KEYBOARD.highestKey, high), 1)];
}

function white(key: number, towards: 1 | -1): Pitch {
  return ([1, 3, 6, 8, 10].includes(key % 12) ? key + towards : key) as Pitch;
}
