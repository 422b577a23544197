import { figuresOf } from "@/core/figures/find";
import { bestLeaning, untied } from "@/core/options/leaning-study";
import { balanced } from "@/core/options/leanings/balanced";
import type { Study } from "@/core/fingering/study/study";
import { tasksOf } from "@/core/fingering/study/study";
import type { Fingering } from "@/core/fingering/study/fingering";
import { handOfRulerSpan } from "@/core/hand/hand";
import { placementsOf } from "@/core/placement/placements";
import { FULL_SIZE } from "@/core/keyboard/instrument";
import type { Weights } from "@/core/fingering/cost/weights";
import { QUALITY_RULER_SPAN, QUALITY_TEMPO } from "./cases";
import type { KindCase } from "./kind";
import type { Fingered } from "./rules";
import { passageOf } from "./notation";

/** How a case was answered. */
export interface Graded {
  readonly name: string;
  /** Fingers of each onset, a word each. */
  readonly ours: string;
  readonly nearest: string;
  /** Onsets that agree with the accepted fingering that agrees best, and all that count. */
  readonly agreed: number;
  readonly graded: number;
}

export function studyOfCase(
  { side, music, manner, span = QUALITY_RULER_SPAN, tune }: KindCase,
  weights?: Weights,
): Study {
  return {
    passage: passageOf(music, side, tune),
    ...handsOf(span),
    instrument: FULL_SIZE,
    manner: { tempo: QUALITY_TEMPO, touch: "legato", pedal: false, ...manner },
    ...(weights ? { weights } : {}),
  };
}

const KNOWN_HANDS = new Map<number, Pick<Study, "hands" | "placements">>();

/** Both hands of a span, with what they can hold kept between cases. */
function handsOf(span: number): Pick<Study, "hands" | "placements"> {
  const known = KNOWN_HANDS.get(span);
  if (known) return known;
  const [right, left] = [handOfRulerSpan("right", span), handOfRulerSpan("left", span)];
  const placements = { right: placementsOf(right, FULL_SIZE), left: placementsOf(left, FULL_SIZE) };
  const made = { hands: { right, left }, placements };
  KNOWN_HANDS.set(span, made);
  return made;
}

/** The balanced best of a case, onset by onset; with figures tied as a player meets them first, or with none. */
export function answered(given: KindCase, tied: boolean, weights?: Weights): readonly Fingered[] {
  const study = studyOfCase(given, weights);
  return fingeredIn(study, bestOf(study, tied));
}

export function bestOf(study: Study, tied = true): Fingering {
  return bestLeaning(study, balanced, tied ? {} : untied(study, {}, figuresOf(study)), 1)[0]!.fingering;
}

function fingeredIn(study: Study, fingering: Fingering): readonly Fingered[] {
  return tasksOf(study).flatMap(({ line }) =>
    line.onsets.map(({ struck }) => ({
      keys: struck.map((s) => s.key as number),
      fingers: struck.map((s) => fingering[s.notes[0]!] ?? 0),
    })),
  );
}

/** Grades fingers by the accepted ones that agree best. */
export function gradedBy({ name, accepted }: Pick<KindCase, "name" | "accepted">, all: readonly Fingered[]): Graded {
  const ours = all.map(({ fingers }) => fingers.join("")).join(" ");
  if (typeof accepted === "function") {
    const good = accepted(all);
    return { name, ours, nearest: "a rule", agreed: good.filter(Boolean).length, graded: good.length };
  }
  const each = accepted.map((words) => agreement(words, all, name));
  const best = each.reduce((a, b) => (b.agreed / b.graded > a.agreed / a.graded ? b : a));
  return { name, ours, ...best };
}

function agreement(accepted: string, all: readonly Fingered[], name: string) {
  const words = accepted.trim().split(/\s+/);
  if (words.length !== all.length) throw new RangeError(`${name}: ${words.length} words for ${all.length} onsets.`);
  const counted = words
    .map((word, i) => ({ word, fingers: all[i]!.fingers.join("") }))
    .filter(({ word }) => word !== "*");
  const agreed = counted.filter(({ word, fingers }) => word.split("|").includes(fingers)).length;
  return { nearest: accepted, agreed, graded: counted.length };
}
