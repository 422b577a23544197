import { bestLeaning } from "@/core/options/leaning-study";
import { balanced } from "@/core/options/leanings/balanced";
import { notesAsked, type Study } from "@/core/fingering/study/study";
import type { Fingering } from "@/core/fingering/study/fingering";
import { handOfRulerSpan } from "@/core/hand/hand";
import type { Side } from "@/core/hand/finger";
import { FULL_SIZE } from "@/core/keyboard/instrument";
import { passageOfKeys } from "@/core/passage/of-keys";
import type { Manner } from "@/core/passage/passage";
import { QUALITY_RULER_SPAN, QUALITY_TEMPO } from "./cases";
import type { TempoFlip } from "./flips";
import { SPANS, type HandSizes } from "./hand-sizes";
import type { Keys } from "./keys";

/** Sixteenths by a hand of a ruler span in mm. */
export function studyOf(
  keys: readonly Keys[],
  side: Side,
  manner: Partial<Manner> = {},
  span = QUALITY_RULER_SPAN,
): Study {
  return {
    passage: passageOfKeys(keys, "1/4", side),
    hands: { right: handOfRulerSpan("right", span), left: handOfRulerSpan("left", span) },
    instrument: FULL_SIZE,
    manner: { tempo: QUALITY_TEMPO, touch: "legato", pedal: false, ...manner },
  };
}

/** The balanced best. */
export function best(study: Study): Fingering {
  return bestLeaning(study, balanced, {}, 1)[0]!.fingering;
}

/** Digits in the order of the notes, 0 where none plays. */
export function digits(study: Study, fingering: Fingering): string {
  return notesAsked(study)
    .map((id) => fingering[id] ?? 0)
    .join("");
}

/** The best of a passage at quarter = 50 and at 160, and both of them for the slow study. */
export function slowAndFast({ side, keys, manner }: Pick<TempoFlip, "side" | "keys" | "manner">) {
  const at = (tempo: number) => studyOf(keys, side, { ...manner, tempo });
  const [study, other] = [at(50), at(160)];
  const fingerings = [best(study), best(other)] as const;
  return { study, fingerings, slow: digits(study, fingerings[0]), fast: digits(other, fingerings[1]) };
}

/** The best of a passage for a small, a middle and a large hand. */
export function bySize({ side, keys, manner }: Pick<HandSizes, "side" | "keys" | "manner">) {
  const of = (span: number): string => {
    const study = studyOf(keys, side, manner, span);
    return digits(study, best(study));
  };
  return SPANS.map(of) as [string, string, string];
}
