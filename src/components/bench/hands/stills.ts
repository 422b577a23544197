import { lyingAt, type Lying, type Step } from "@/core/fingering/study/steps";
import type { Fingering } from "@/core/fingering/study/fingering";
import type { Study } from "@/core/fingering/study/study";
import { SIDES, type Finger, type Side } from "@/core/hand/finger";
import { poseOf, type Point, type Pose } from "@/core/hand/pose";
import { handOf } from "@/core/passage/passage";

/** One hand at one step, ready to be drawn. */
export interface Still {
  readonly pose: Pose;
  readonly striking: ReadonlySet<Finger>;
  /** The opening nearest its limit, in mm, between two tips; null for a single finger. */
  readonly opening: { readonly from: Point; readonly to: Point; readonly mm: number; readonly limit: number } | null;
}

/** Both hands at every step; null for a hand that plays nothing in the passage. */
export type Stills = readonly Readonly<Record<Side, Still | null>>[];

/**
 * How both hands lie at every step. A hand with no key down stays, loose, where it was, and before its first key where
 * that will be.
 */
export function stillsOf(study: Study, steps: readonly Step[], fingering: Fingering): Stills {
  const lying = lyingAt(study, fingering);
  const sides = SIDES.map((side) => {
    const own = steps.map((step, i) => stillOf(study, step, fingering, side, lying[i]![side]));
    let last = own.find((still) => still !== null) ?? null;
    if (last) last = loosened(last);
    return own.map((still) => {
      const shown = still ?? last;
      if (still) last = loosened(still);
      return shown;
    });
  });
  return steps.map((_, i) => ({ right: sides[0]![i]!, left: sides[1]![i]! }));
}

function stillOf(study: Study, step: Step, fingering: Fingering, side: Side, lying: Lying): Still | null {
  const pose = poseOf(study.hands[side], lying.contacts, lying.placement?.wrist);
  return pose && { pose, striking: strikingOf(study, step, fingering, side), opening: openingOf(lying) };
}

function openingOf({ contacts, placement }: Lying): Still["opening"] {
  if (!placement?.nearest) return null;
  const { pair, room } = placement.nearest;
  const [from, to] = pair.map((finger) => contacts.get(finger));
  if (!from || !to) return null;
  const mm = Math.abs(to.x - from.x);
  return { from, to, mm, limit: mm + room };
}

function loosened({ pose }: Still): Still {
  const fingers = pose.fingers.map((f) => ({ ...f, playing: false }));
  return { pose: { ...pose, fingers }, striking: new Set(), opening: null };
}

function strikingOf({ passage }: Study, step: Step, fingering: Fingering, side: Side): ReadonlySet<Finger> {
  const notes = passage.notes.filter((n) => step.notes.includes(n.id) && handOf(n, passage) === side);
  return new Set(notes.flatMap((n) => fingering[n.id] ?? []));
}
