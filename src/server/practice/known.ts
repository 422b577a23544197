import { studyOf } from "@/core/fingering/study/study-data";
import type { Fingering } from "@/core/fingering/study/fingering";
import { fingerName, FINGERS, type Side } from "@/core/hand/finger";
import { DAY_PLAN, KNOWN } from "@/core/physics";
import { doseAMinute, NO_DOSE, type Dose } from "@/core/practice/planner/dose";
import { returnOf, stateOf, type TakeKnown } from "@/core/practice/planner/known";
import { mostWanted, type PassageKnown, type PieceKnown } from "@/core/practice/planner/wanted";
import { dayAfter, daysBetween, type Day } from "@/core/time/days";
import { dayIn, type Zone } from "@/core/time/zone";
import { isClean, USUAL_RULE, type CleanRule } from "@/core/trials/clean";
import { lastDayOfChange } from "@/core/verdict/learning-price";
import { inTheFingers, isDue, standingOf, type Standing } from "@/core/verdict/standing";
import type { Db } from "@/db/client";
import { standingsOf } from "@/db/queries/passages";
import { restsNow } from "@/db/queries/pianists";
import { piecesWithPassages, type PieceListed } from "@/db/queries/pieces";
import { lastRuns, leftOver, takesKnown } from "@/db/queries/practice";
import { grouped } from "../grouped";
import { passagesGiven, type PassageGiven } from "../passages/passage-given";
import { verdictData } from "../verdicts/verdicts";

/** What a day is planned from. */
export interface KnownOfPlayer {
  readonly passages: readonly PassageKnown[];
  readonly pieces: readonly PieceKnown[];
}

/** Takes of so many days are looked at: as many as bear on how well a passage is known, and on when it comes back. */
const TAKE_DAYS = KNOWN.days + DAY_PLAN.returnMost * 2;

/**
 * Everything the planner has to know of a player. Only the passages that want practice most are read with their music, for
 * their wide openings and for fingers that rest; how many they are does not grow with the repertoire.
 */
export async function knownOf(
  db: Db,
  {
    playerId,
    rule,
    day,
    zone,
  }: { readonly playerId: string; readonly rule: CleanRule | null; readonly day: Day; readonly zone: Zone },
): Promise<KnownOfPlayer> {
  const since = new Date(Date.parse(`${dayAfter(day, -TAKE_DAYS)}T00:00:00Z`));
  const [pieces, standings, takes, rests, runs, left] = await Promise.all([
    piecesWithPassages(db, playerId),
    standingsOf(db, playerId),
    takesKnown(db, playerId, since),
    restsNow(db, playerId),
    lastRuns(db, playerId),
    leftOver(db, playerId, day),
  ]);
  const said = grouped(standings.events);
  const practised = grouped(standings.days);
  const played = grouped(takes);
  const standingBy = new Map<string, Standing>();
  const all = pieces.flatMap((piece) =>
    piece.passages.map(({ id, title, tempo, hands }): PassageKnown => {
      const days = (practised.get(id) ?? []).map((one) => one.day as Day);
      const own = (played.get(id) ?? []).map(({ at, tempo: meant, measures }): TakeKnown => {
        return { on: dayIn(zone, at.getTime()), tempo: meant, clean: isClean(measures, rule ?? USUAL_RULE) };
      });
      const standing = standingOf(
        (said.get(id) ?? []).map((event) => verdictData(event, zone)),
        days,
        day,
      );
      standingBy.set(id, standing);
      return {
        id,
        title,
        state: stateOf(standing, own, tempo, day),
        concertIn: concertIn(piece, day),
        verdictIn: standing.state === "undecided" ? standing.daysLeft : null,
        isTrialDue: standing.state === "undecided" && standing.daysLeft >= 0 && !own.some(({ on }) => on === day),
        isReviewDue: standing.state === "taken" && isDue(standing),
        comesBack: returnOf(days, own, day),
        dose: NO_DOSE,
        changeIn: null,
        isLeftOver: left.has(id),
        hindered: handOut(hands, rests),
      };
    }),
  );
  const passages = await withMusic(db, mostWanted(all), { playerId, standings: standingBy, said, day, zone });
  return {
    passages: [...passages, ...all.filter(({ hindered }) => hindered !== null)],
    pieces: pieces.flatMap((piece) => pieceKnown(piece, passages, runs, day)),
  };
}

/** Days to a piece's concert; null where it has none to come. */
function concertIn({ recital }: Pick<PieceListed, "recital">, day: Day): number | null {
  const left = recital ? daysBetween(day, recital.heldOn as Day) : -1;
  return left < 0 ? null : left;
}

type Rests = readonly { readonly side: Side; readonly fingers: readonly number[] }[];

/** Why a passage for one hand waits: the hand is out of use. What is for both is practised with the other alone. */
function handOut(hands: "right" | "left" | "both", rests: Rests): string | null {
  const isOut = hands !== "both" && rests.some(({ side, fingers }) => side === hands && fingers.length === 5);
  return isOut ? `the ${hands} hand is out of use` : null;
}

interface SaidOf {
  readonly playerId: string;
  readonly standings: ReadonlyMap<string, Standing>;
  readonly said: ReadonlyMap<string, readonly Parameters<typeof verdictData>[0][]>;
  readonly day: Day;
  readonly zone: Zone;
}

/** The passages with what only their music tells: what their fingerings cost a hand, fingers that rest, until when to change. */
async function withMusic(
  db: Db,
  passages: readonly PassageKnown[],
  { playerId, standings, said, day, zone }: SaidOf,
): Promise<readonly PassageKnown[]> {
  const all = await passagesGiven(
    db,
    playerId,
    passages.map(({ id }) => id),
  );
  return passages.map((known): PassageKnown => {
    const given = all.get(known.id);
    const standing = standings.get(known.id);
    const taken =
      standing?.state === "taken" ? given?.options.find(({ id }) => id === standing.fingeringId) : undefined;
    const option = taken ?? given?.options[0];
    if (!given || !option) return known;
    const study = studyOf(given.study);
    const inFingers = inTheFingers((said.get(known.id) ?? []).map((event) => verdictData(event, zone)));
    const now = given.options.find(({ id }) => id === inFingers)?.digits ?? null;
    const concert = known.concertIn === null ? null : dayAfter(day, known.concertIn);
    const last = lastDayOfChange(
      study,
      now,
      given.options.map(({ digits }) => digits),
      day,
      concert,
    );
    return {
      ...known,
      dose: doseAMinute(study, option.digits),
      changeIn: last === null ? null : daysBetween(day, last),
      hindered: restingAsked(given, option.digits),
    };
  });
}

/** Why a passage waits whose digits ask for a finger that rests; null where none does. */
function restingAsked({ study: { passage, hands } }: Pick<PassageGiven, "study">, digits: Fingering): string | null {
  for (const note of passage.notes) {
    const finger = digits[note.id];
    const side: Side = passage.taken?.[note.id] ?? (note.staff === 1 ? "right" : "left");
    const { resting } = hands[side];
    if (finger && resting.length < FINGERS.length && resting.includes(finger))
      return `it asks for the ${side} ${fingerName(finger)}, which is resting`;
  }
  return null;
}

function pieceKnown(
  piece: PieceListed,
  passages: readonly PassageKnown[],
  runs: ReadonlyMap<string, string>,
  day: Day,
): readonly PieceKnown[] {
  const left = concertIn(piece, day);
  if (left === null) return [];
  const last = runs.get(piece.id);
  const own = passages.filter(({ id }) => piece.passages.some((one) => one.id === id));
  return [
    {
      id: piece.id,
      title: piece.title,
      concertIn: left,
      runSince: last === undefined ? null : daysBetween(last as Day, day),
      dose: meanDose(own.map(({ dose }) => dose)),
    },
  ];
}

function meanDose(doses: readonly Dose[]): Dose {
  if (doses.length === 0) return NO_DOSE;
  const mean = (side: Side): number => doses.reduce((sum, dose) => sum + dose[side], 0) / doses.length;
  return { right: mean("right"), left: mean("left") };
}
