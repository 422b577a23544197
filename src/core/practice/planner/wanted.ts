import { counted, often } from "../../counted";
import { SIDES } from "../../hand/finger";
import { DAY_PLAN, RUN } from "../../physics";
import { doseOf, isWide, type Dose } from "./dose";
import type { PassageState, Return } from "./known";

/** What the plan knows of a passage. */
export interface PassageKnown {
  readonly id: string;
  readonly title: string;
  readonly state: PassageState;
  /** Days to the next concert that it is for; null where there is none to come. */
  readonly concertIn: number | null;
  /** Days to the day of its verdict, 0 or less when that is due; null where it is not undecided to a day. */
  readonly verdictIn: number | null;
  /** Whether its options are to be tried today and have not been. */
  readonly isTrialDue: boolean;
  /** Whether a review of its fingering is due. */
  readonly isReviewDue: boolean;
  readonly comesBack: Return;
  /** Of a minute of playing; see doseAMinute. */
  readonly dose: Dose;
  /** Days until the last on which a change of its fingering is sensible, negative once that is past; null where there is none. */
  readonly changeIn: number | null;
  /** Whether it was planned for the day before and not done. */
  readonly isLeftOver: boolean;
  /** Why it cannot be practised now, in words; null where it can. */
  readonly hindered: string | null;
}

/** What the plan knows of a piece with a concert to come. */
export interface PieceKnown {
  readonly id: string;
  readonly title: string;
  readonly concertIn: number;
  /** Days since it was last run through; null where it never was. */
  readonly runSince: number | null;
  /** The dose of its passages in the mean. */
  readonly dose: Dose;
}

/** What a block is for: to decide on a fingering, to look at it again, and so on to a run through the piece. */
export const AIMS = ["decide", "review", "learn", "secure", "keep", "run"] as const;
type Aim = (typeof AIMS)[number];

/** A block that could be practised: one aim, and what it is worth. */
export interface Wanted {
  /** Of the passage or the piece, with the aim; a second block of one passage is told apart. */
  readonly id: string;
  readonly passageId: string | null;
  readonly pieceId: string | null;
  readonly title: string;
  readonly aim: Aim;
  /** Why it is wanted, in words. */
  readonly why: string;
  readonly minutes: number;
  readonly worth: number;
  /** Of all its minutes. */
  readonly dose: Dose;
  readonly isWide: boolean;
  /** The block that has to be there before this one is; null where it stands by itself. */
  readonly after: string | null;
}

/**
 * Every block that a day could hold: of each passage one, and a second that is worth less; of each piece whose concert is near
 * enough, and whose last run is long enough ago, a run through it. The passages that want it most, DAY_PLAN.mostPassages. What
 * opens wider in a block than a hand has left is shortened until it does not.
 * @param left mm times minutes that each hand has left
 */
export function wantedBlocks(
  passages: readonly PassageKnown[],
  pieces: readonly PieceKnown[],
  left: Dose,
): readonly Wanted[] {
  const firsts = mostWanted(passages).flatMap((known) => blockOf(known, left));
  const seconds = firsts.map((first): Wanted => ({
    ...first,
    id: `${first.id} again`,
    why: "again, later in the day: what is met twice stays",
    worth: first.worth * DAY_PLAN.secondShare,
    after: first.id,
  }));
  return [...firsts, ...seconds, ...pieces.flatMap(runOf)];
}

/** The passages that want practice most, and can have it, what is wanted most first; what they cost a hand plays no part. */
export function mostWanted(passages: readonly PassageKnown[]): readonly PassageKnown[] {
  return passages
    .filter(({ hindered }) => hindered === null)
    .map((known) => ({ known, worth: worthOf(known).worth }))
    .sort((a, b) => b.worth - a.worth)
    .slice(0, DAY_PLAN.mostPassages)
    .map(({ known }) => known);
}

/** The block of a passage; none where even the shortest opens wider than there is left. */
function blockOf(known: PassageKnown, left: Dose): readonly Wanted[] {
  const { id, title, state, dose } = known;
  const minutes = minutesWithin(dose, left);
  if (minutes < DAY_PLAN.shortest) return [];
  const { worth, why } = worthOf(known);
  return [
    {
      id,
      passageId: id,
      pieceId: null,
      title,
      aim: known.isReviewDue ? "review" : AIM_OF[state],
      why: minutes < DAY_PLAN.block ? `${why}; short, since it opens wide` : why,
      minutes,
      worth: (worth * minutes) / DAY_PLAN.block,
      dose: doseOf(dose, minutes),
      isWide: isWide(dose),
      after: null,
    },
  ];
}

/** Whole minutes of a block for which each hand has enough left, DAY_PLAN.block at the most. */
export function minutesWithin(dose: Dose, left: Dose): number {
  const a = doseOf(dose, 1);
  const most = SIDES.map((side) => (a[side] > 0 ? Math.floor(left[side] / a[side] + 1e-9) : Infinity));
  return Math.min(DAY_PLAN.block, ...most);
}

const AIM_OF: Readonly<Record<PassageState, Aim>> = {
  undecided: "decide",
  learning: "learn",
  securing: "secure",
  keeping: "keep",
};

/** What a block of a passage is worth, and the reasons that made it so, the weightiest first. */
function worthOf(known: PassageKnown): { readonly worth: number; readonly why: string } {
  const { state, concertIn, comesBack, isLeftOver } = known;
  const [least, most] = DAY_PLAN.returnShare;
  const left = comesBack.since === null ? 1 : Math.min(most, Math.max(least, comesBack.since / comesBack.interval));
  const near = concertIn === null ? 0 : DAY_PLAN.concert * Math.exp(-concertIn / DAY_PLAN.concertDays);
  const due = isVerdictDue(known) || known.isReviewDue ? DAY_PLAN.due : 0;
  const extra = (known.isTrialDue ? DAY_PLAN.trial : 0) + (isLeftOver ? DAY_PLAN.leftOver : 0);
  const worth = DAY_PLAN.worth[state] * left * (1 + near) + due + extra;
  const reasons = [
    dueSaid(known),
    known.isTrialDue && "its options are to be tried today",
    changeSaid(known),
    isLeftOver && "left over from the last time",
    concertIn !== null && concertIn <= DAY_PLAN.concertNamed && `the concert is in ${counted(concertIn, "day")}`,
    returnSaid(comesBack),
    SAID[state],
  ];
  return { worth, why: reasons.filter((one) => one !== false).join("; ") };
}

function isVerdictDue({ verdictIn }: PassageKnown): boolean {
  return verdictIn !== null && verdictIn <= DAY_PLAN.dueWithin;
}

function dueSaid(known: PassageKnown): string | false {
  const { verdictIn, isReviewDue } = known;
  if (isVerdictDue(known))
    return verdictIn! <= 0 ? "its verdict is due" : `its verdict is due in ${counted(verdictIn!, "day")}`;
  return isReviewDue && "its fingering is to be looked at again";
}

function returnSaid({ since, held }: Return): string | false {
  if (since === null) return "never practised yet";
  const heldSaid = held > 0 ? `, and it held up ${often(held)} in a row` : "";
  return since > 0 && `last practised ${counted(since, "day")} ago${heldSaid}`;
}

/** Until when a change of fingering is sensible, where that bears on what is to be done. */
function changeSaid({ state, isReviewDue, changeIn }: PassageKnown): string | false {
  if (changeIn === null || (state !== "undecided" && !isReviewDue)) return false;
  if (changeIn < 0) return "it is too late to change its fingering safely before the concert";
  return changeIn <= DAY_PLAN.concertNamed && `a change of fingering is sensible for ${counted(changeIn, "day")} more`;
}

const SAID: Readonly<Record<PassageState, string>> = {
  undecided: "its fingering is not decided",
  learning: "it is not clean near its tempo yet",
  securing: "it is clean nearly up to its tempo",
  keeping: "it is clean at its tempo",
};

/** A run through a piece: late enough, not too often, and not on the eve. */
function runOf({ id, title, concertIn, runSince, dose }: PieceKnown): readonly Wanted[] {
  if (concertIn > RUN.from || concertIn <= RUN.notWithin) return [];
  const every = concertIn <= RUN.lastDays ? RUN.everyAtLast : RUN.every;
  if (runSince !== null && runSince < every) return [];
  const since = runSince === null ? "never run through yet" : `last run through ${counted(runSince, "day")} ago`;
  return [
    {
      id: `run ${id}`,
      passageId: null,
      pieceId: id,
      title,
      aim: "run",
      why: `the concert is in ${counted(concertIn, "day")}; ${since}`,
      minutes: DAY_PLAN.run,
      worth: RUN.worth,
      dose: doseOf(dose, DAY_PLAN.run),
      isWide: isWide(dose),
      after: null,
    },
  ];
}
