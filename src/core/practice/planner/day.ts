import type { School } from "../school";
import { DAY_PLAN } from "../../physics";
import { chosenBlocks, playedWith, warmFor, type Bounds } from "./choose";
import { NO_DOSE, sumOfDoses, type Dose } from "./dose";
import { inBestOrder } from "./order";
import { AIMS, minutesWithin, wantedBlocks, type PassageKnown, type PieceKnown, type Wanted } from "./wanted";

/** What a stretch of a day is for. */
export const DOINGS = ["warm-up", "check", "rest", ...AIMS] as const;
export type Doing = (typeof DOINGS)[number];

/** A stretch of a day. */
interface Stretch {
  readonly doing: Doing;
  readonly passageId: string | null;
  readonly pieceId: string | null;
  readonly title: string;
  readonly why: string;
  readonly minutes: number;
  readonly dose: Dose;
}

export interface DayPlan {
  readonly stretches: readonly Stretch[];
  /** All in. */
  readonly minutes: number;
  readonly dose: Dose;
  /** Passages that cannot be practised now, each with why. */
  readonly hindered: readonly { readonly title: string; readonly why: string }[];
}

export interface DayAsked extends Bounds {
  readonly passages: readonly PassageKnown[];
  readonly pieces: readonly PieceKnown[];
  readonly school: School;
}

/**
 * The plan of a day. What is to be greatest: the worth of its blocks, see wantedBlocks; what is never broken, see chosenBlocks
 * and inBestOrder. It begins with a warm-up, made of the passage that opens least or of five-finger figures by school, and a
 * check that the hands are loose stands at both ends and between blocks. A day with nothing to practise, or too short for one
 * block, has no stretches.
 */
export function planDay(asked: DayAsked): DayPlan {
  const { passages, pieces, isWarm } = asked;
  const chosen = chosenBlocks(wantedBlocks(passages, pieces, asked.left), asked);
  const blocks = inBestOrder(chosen, asked);
  const hindered = passages.flatMap((known) => {
    const why = known.hindered ?? playedOut(asked) ?? tooWide(known, asked);
    return why === null ? [] : [{ title: known.title, why }];
  });
  if (blocks.length === 0) return { stretches: [], minutes: 0, dose: NO_DOSE, hindered };
  const stretches = [...(isWarm ? [] : [warmUp(asked, blocks)]), CHECK_FIRST];
  blocks.forEach((block, i) => {
    stretches.push(stretchOf(block));
    const isLast = i === blocks.length - 1;
    stretches.push(isLast ? CHECK_LAST : CHECK);
    if (!isLast && (i + 1) % DAY_PLAN.restAfter === 0) stretches.push(REST);
  });
  return {
    stretches,
    minutes: stretches.reduce((sum, { minutes }) => sum + minutes, 0),
    dose: sumOfDoses(stretches.map(({ dose }) => dose)),
    hindered,
  };
}

/** Why nothing more is played today: the player's own limit leaves less than a short block; null where it does not. */
function playedOut({ playing, isCold, isWarm }: DayAsked): string | null {
  const isOut =
    playing !== null && playing < playedWith([{ minutes: DAY_PLAN.shortest, isWide: false }], { isCold, isWarm });
  return isOut ? "your own limit for a day's takes leaves no room for it" : null;
}

/** Why a passage waits for another day: even a short block opens the hand wider than it has left; null where it does not. */
function tooWide({ dose }: PassageKnown, { left }: DayAsked): string | null {
  const isWider = minutesWithin(dose, left) < DAY_PLAN.shortest;
  return isWider ? "it opens the hand wider than there is left of the day's limit" : null;
}

const NOBODY = { passageId: null, pieceId: null, title: "", dose: NO_DOSE } as const;
const CHECK: Stretch = {
  ...NOBODY,
  doing: "check",
  why: "are shoulders, elbows and hands loose?",
  minutes: DAY_PLAN.check,
};
const CHECK_FIRST: Stretch = { ...CHECK, why: "before beginning: are shoulders, elbows and hands loose?" };
const CHECK_LAST: Stretch = { ...CHECK, why: "at the end: are they as loose as at the beginning?" };
const REST: Stretch = { ...NOBODY, doing: "rest", why: "stand up, let the arms hang", minutes: DAY_PLAN.rest };

function stretchOf({ aim, passageId, pieceId, title, why, minutes, dose }: Wanted): Stretch {
  return { doing: aim, passageId, pieceId, title, why, minutes, dose };
}

/** The warm-up: the passage of the day that opens least, slowly, or five fingers in its key. */
function warmUp(asked: DayAsked, blocks: readonly Wanted[]): Stretch {
  const openness = ({ dose, minutes }: Wanted): number => Math.max(dose.right, dose.left) / minutes;
  const easiest = [...blocks]
    .filter(({ passageId }) => passageId !== null)
    .sort((a, b) => openness(a) - openness(b))[0];
  const { school, isCold } = asked;
  const minutes = warmFor(blocks, asked);
  const longer = isCold ? "longer, since it is cold; " : "";
  const opening = minutes >= DAY_PLAN.beforeWide && !isCold ? "longer, since everything today opens wide; " : "";
  const what = school.basis === "exercises" ? "five fingers and scales" : "its easiest position";
  return {
    ...NOBODY,
    doing: "warm-up",
    passageId: easiest?.passageId ?? null,
    title: easiest?.title ?? "",
    why: `${longer}${opening}${what}, slow and soft; nothing wide in the first minutes`,
    minutes,
  };
}

/** A day to come, as far as it is known. */
export interface DayToCome {
  /** From today; 0 is today. */
  readonly inDays: number;
  readonly minutes: number;
}

/**
 * The days to come, each planned as if those before it were done as planned: a passage that is practised comes back later, and
 * one that is not comes back by itself. Nobody is any better in it than today: what is gained shows as it comes.
 * @param wholeDay what a whole day allows; today's own bounds are those of `asked`
 */
export function planAhead(
  asked: DayAsked,
  days: readonly DayToCome[],
  wholeDay: Pick<Bounds, "left" | "playing">,
): readonly DayPlan[] {
  let { passages, pieces } = asked;
  return days.map(({ inDays, minutes }, i) => {
    const by = i === 0 ? inDays : inDays - days[i - 1]!.inDays;
    passages = passages.map((one) => later(one, by));
    pieces = pieces.flatMap((one) => pieceLater(one, by));
    const plan = planDay({
      ...asked,
      ...(inDays === 0 ? {} : wholeDay),
      passages,
      pieces,
      minutes,
      isWarm: false,
    });
    const done = new Set(
      plan.stretches.flatMap(({ doing, passageId }) => (doing === "warm-up" ? [] : (passageId ?? []))),
    );
    const run = new Set(plan.stretches.flatMap(({ pieceId }) => pieceId ?? []));
    passages = passages.map((one) =>
      done.has(one.id) ? { ...one, isLeftOver: false, comesBack: { ...one.comesBack, since: 0 } } : one,
    );
    pieces = pieces.map((one) => (run.has(one.id) ? { ...one, runSince: 0 } : one));
    return plan;
  });
}

function later(one: PassageKnown, by: number): PassageKnown {
  const { since } = one.comesBack;
  const concertIn = one.concertIn === null || one.concertIn < by ? null : one.concertIn - by;
  return {
    ...one,
    concertIn,
    verdictIn: one.verdictIn === null ? null : one.verdictIn - by,
    changeIn: one.changeIn === null ? null : one.changeIn - by,
    comesBack: { ...one.comesBack, since: since === null ? null : since + by },
  };
}

function pieceLater(one: PieceKnown, by: number): readonly PieceKnown[] {
  if (one.concertIn < by) return [];
  return [{ ...one, concertIn: one.concertIn - by, runSince: one.runSince === null ? null : one.runSince + by }];
}
