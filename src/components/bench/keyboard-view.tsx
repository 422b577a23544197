import { useMemo } from "react";
import { lyingAt, type Step } from "@/core/fingering/steps";
import type { Fingering } from "@/core/fingering/fingering";
import type { Study } from "@/core/fingering/study";
import { SIDES, type Finger, type Side } from "@/core/hand/finger";
import { KEYBOARD } from "@/core/physics";
import type { Pitch } from "@/core/keyboard/pitch";
import { handOf, handsAsked } from "@/core/passage/passage";
import { HandDrawing } from "../keyboard/hand-drawing";
import { Keyboard } from "../keyboard/keyboard";

interface Props {
  readonly study: Study;
  readonly steps: readonly Step[];
  readonly at: number;
  readonly fingering: Fingering;
  readonly label: string;
}

/** Keys shown at least, so that a narrow passage is not drawn larger than life. */
const LEAST_KEYS = 30;

/** The keyboard in millimetres with the hands as they lie at one step. */
export function KeyboardView({ study, steps, at, fingering, label }: Props) {
  const lying = useMemo(() => lyingAt(study, fingering), [study, fingering]);
  const [lowest, highest] = useMemo(() => keyRange(study), [study]);
  const step = steps[at];
  return (
    <Keyboard
      instrument={study.instrument}
      lowest={lowest}
      highest={highest}
      front={95}
      beside={0}
      label={label}
      className="max-h-[min(16rem,34dvh)] w-full"
    >
      {step &&
        SIDES.map((side) => (
          <HandDrawing
            key={side}
            hand={study.hands[side]}
            contacts={lying[at]![side].contacts}
            wrist={lying[at]![side].placement?.wrist}
            striking={strikingOf(study, step, fingering, side)}
          />
        ))}
    </Keyboard>
  );
}

function strikingOf({ passage }: Study, step: Step, fingering: Fingering, side: Side): ReadonlySet<Finger> {
  const notes = passage.notes.filter((n) => step.notes.includes(n.id) && handOf(n, passage) === side);
  return new Set(notes.flatMap((n) => fingering[n.id] ?? []));
}

/** The keys of the passage with a hand's breadth beside them. */
function keyRange({ passage }: Study): [Pitch, Pitch] {
  const hands = handsAsked(passage);
  const pitches = passage.notes.filter((n) => hands.includes(handOf(n, passage))).map((n) => n.pitch as number);
  let [low, high] = pitches.length > 0 ? [Math.min(...pitches) - 6, Math.max(...pitches) + 6] : [48, 84];
  while (high - low < LEAST_KEYS) [low, high] = [low - 1, high + 1];
  return [white(Math.max(KEYBOARD.lowestKey, low), -1), white(Math.min(KEYBOARD.highestKey, high), 1)];
}

function white(key: number, towards: 1 | -1): Pitch {
  return ([1, 3, 6, 8, 10].includes(key % 12) ? key + towards : key) as Pitch;
}
