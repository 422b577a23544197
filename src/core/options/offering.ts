import { WEIGHTS } from "../fingering/cost/weights";
import { compareFingerings } from "../fingering/explain/compare";
import { stretches } from "../fingering/explain/advice";
import type { Conditions } from "../fingering/search/conditions";
import type { Progress } from "../fingering/search/search";
import { differences, type Fingering } from "../fingering/study/fingering";
import { judge, latticesOf, notesAsked, solving, type Judged, type Study } from "../fingering/study/study";
import { OFFER } from "../physics";
import { figuresOf } from "../figures/find";
import { ideasOf, isOtherIdea, sayIdeas, type Ideas } from "./ideas";
import { leaningConditions, solvingLeaning, untied } from "./leaning-study";
import { balanced } from "./leanings/balanced";
import { leastStrain } from "./leanings/least-strain";
import { LEANINGS, type LeaningId } from "./leanings";
import { otherwise } from "./leanings/otherwise";
import { askedOtherwise } from "./otherwise";

/** A fingering worth showing, with the leaning that found it first. */
export interface Offer {
  readonly leaning: LeaningId;
  readonly fingering: Fingering;
  readonly judged: Judged;
  /** Its ideas, in a sentence: for the first what it is, for the others in what they differ from the first. */
  readonly sentence: string;
}

/** Said only where it is so. */
const LEAST = "The least strain in all.";
/** Causes by which a line breaks: the hand letting go, and a hop of one finger. */
const BREAKS = ["line-broken", "same-finger"];

/**
 * Up to `most` fingerings worth showing: the balanced best first, or the best with nothing tied where ties would break the line;
 * then the best of each other leaning and of what is asked otherwise, as far as each is another idea than all before it (ideas/),
 * breaks no line that the first does not, crosses fingers only in place of a break, gains something, and strains not much more.
 * Fewer are shown rather than dull ones. All are judged by the plain weights. A generator: it yields as it goes, so that it can be
 * stopped.
 */
export function* offering(study: Study, conditions: Conditions, most: number): Generator<Progress, readonly Offer[]> {
  const lattices = latticesOf(study);
  const figures = figuresOf(study);
  const asked = leaningConditions(study, balanced, conditions, undefined, figures);
  const [best] = yield* solving(lattices, asked, 1);
  const loosely = untied(study, asked, figures);
  const [free] = yield* solving(lattices, loosely, 1);
  const known = new Map([
    [balanced, best!],
    [leastStrain, free!],
  ]);
  const { weights = WEIGHTS } = study;
  const [tied, loose] = [judge(study, best!.fingering), judge(study, free!.fingering)];
  // What returns keeps its fingers, but does not break the line for that.
  const isBroken = strainOf(tied, BREAKS) - strainOf(loose, BREAKS) > OFFER.brokenLine * weights.lineBroken;
  const [opening, first] = isBroken ? [leastStrain, loose] : [balanced, tied];
  const shown = [ideasOf(study, first)];
  const what = isLeast(first) ? LEAST : "Little strain, and what returns keeps its fingers.";
  const offers: Offer[] = [
    {
      leaning: opening.id as LeaningId,
      fingering: first.fingering,
      judged: first,
      sentence: `${what} ${sayIdeas(shown[0]!, null)}`,
    },
  ];
  for (const leaning of LEANINGS) {
    if (leaning === opening || leaning === otherwise) continue;
    if (offers.length === most) return offers;
    const solved = known.get(leaning) ?? (yield* solvingLeaning(study, leaning, conditions, 1))[0]!;
    offer(leaning.id as LeaningId, solved.fingering);
  }
  for (const other of askedOtherwise(study, first.fingering, isBroken ? loosely : asked)) {
    if (offers.length === most) return offers;
    const [solved] = yield* solving(lattices, other, 1);
    offer("otherwise", solved!.fingering);
  }
  return offers;

  function isLeast({ strain }: Judged): boolean {
    return strain <= loose.strain + OFFER.equal;
  }

  function offer(leaning: LeaningId, found: Fingering): void {
    const judged = judge(study, earned(study, first, shown[0]!, found));
    if (!isWorth(study, first, judged)) return;
    const ideas = ideasOf(study, judged);
    if (!shown.every((one) => isOtherIdea(ideas, one))) return;
    if (!offers.every((one) => differsEnough(study, judged.fingering, one.fingering))) return;
    shown.push(ideas);
    const said = sayIdeas(ideas, shown[0]!);
    const sentence = isLeast(judged) ? `${LEAST} ${said}` : said;
    offers.push({ leaning, fingering: judged.fingering, judged, sentence });
  }
}

/** A fingering with every stretch put back that, changed by itself, only strains more and brings no other idea. */
function earned(study: Study, first: Judged, ideas: Ideas, found: Fingering): Fingering {
  let kept = found;
  const changes = stretches(notesAsked(study), first.fingering, found);
  if (changes.length < 2) return found;
  for (const notes of changes) {
    const theirs = Object.fromEntries(notes.map((id) => [id, found[id] ?? null]));
    const alone = judge(study, { ...first.fingering, ...theirs });
    if (alone.strain <= first.strain || isOtherIdea(ideasOf(study, alone), ideas)) continue;
    kept = { ...kept, ...Object.fromEntries(notes.map((id) => [id, first.fingering[id] ?? null])) };
  }
  return kept;
}

/** Whether two fingerings differ in more than a note or two, and not at the ends alone. */
function differsEnough(study: Study, one: Fingering, other: Fingering): boolean {
  const asked = notesAsked(study);
  const differs = differences(asked, one, other);
  const inner = differs.filter((id) => id !== asked[0] && id !== asked.at(-1));
  return differs.length >= Math.min(OFFER.leastNotes, Math.ceil(asked.length / 3)) && inner.length > 0;
}

/** Whether an alternative to the first is one that a pianist would look at, whatever its idea. */
function isWorth(study: Study, first: Judged, other: Judged): boolean {
  if (!differsEnough(study, other.fingering, first.fingering)) return false;
  if (other.strain > first.strain * OFFER.mostTimes + OFFER.mostMore) return false;
  if ((other.peak?.strain ?? 0) > (first.peak?.strain ?? 0) + OFFER.mostPeak) return false;
  // Fingers may cross where the first breaks the line instead.
  if (found(other, BREAKS) > found(first, BREAKS)) return false;
  if (found(other, [...BREAKS, "crossing"]) > found(first, [...BREAKS, "crossing"])) return false;
  const { causes } = compareFingerings(study, other, first);
  return causes.some(({ by }) => by * first.onsets <= -OFFER.leastGain);
}

/** How often some causes are found in a fingering. */
function found({ notes }: Judged, names: readonly string[]): number {
  return Object.values(notes).reduce(
    (sum, { causes }) => sum + causes.filter(({ cause, strain }) => names.includes(cause) && strain > 0).length,
    0,
  );
}

/** What some causes strain in a fingering, summed over its notes. */
function strainOf({ notes }: Judged, names: readonly string[]): number {
  return Object.values(notes)
    .flatMap(({ causes }) => causes)
    .reduce((sum, { cause, strain }) => sum + (names.includes(cause) ? strain : 0), 0);
}
