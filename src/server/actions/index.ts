"use server";

import { revalidatePath } from "next/cache";
import type { FingeringWishes } from "@/core/options/asked/wishes";
import { isSame } from "@/core/merge";
import type { PlanMarks } from "@/core/motion/marks/plan-marks";
import type { Redistribution } from "@/core/passage/passage";
import type { Day } from "@/core/time/days";
import type { SurveyData } from "@/core/reach/survey";
import type { Allowances } from "@/core/reach/allowances";
import type { DayPlayed } from "@/core/trials/day-limit";
import type { CleanRule } from "@/core/trials/clean";
import { answering } from "../asking";
import { GoneAsked, rename, RenameAsked, takeOrBring } from "../belongings/belongings";
import { begin, BeginAsked } from "../players/begin";
import { today } from "../players/day";
import { HaltAsked, liftHalt, LiftAsked, startHalt } from "../players/halt";
import { isHere, NOBODY } from "../players/player";
import { takeTurn } from "../players/player-in-hand";
import { TurnAsked } from "../players/players";
import {
  addRecital,
  EndAsked,
  endRecital,
  MoveAsked,
  moveRecital,
  NewRecital,
  PlayedAtAsked,
  playAt,
} from "../recitals";
import { addFound, addTyped, FoundAsked, TypedAsked } from "../options/editions";
import { EntryAsked, keepEntry, openEntry, OpenAsked, type EntryKept } from "../pieces/entries";
import { addInstrument, NewInstrument, TakeUp, takeUpInstrument } from "../hands/instruments";
import { keepMeasurement, MeasurementAsked } from "../hands/measuring";
import { addFirstOptions, editOption, EditAsked, FirstOptionsAsked } from "../options/options";
import { giveUpOwn, OwnAsked, TakeUpAsked, takeUpOwn } from "../hands/own-figures";
import { proposeOwn } from "../trials/own-proposal";
import { addPassage, PassageAsked } from "../passages/passages";
import { HearAsked, hearAgain } from "../pieces/heard";
import { choosePart, PartAsked } from "../pieces/pieces";
import { AllowancesAsked, chooseRemedies, keepAllowances, RemediesAsked } from "../options/remedies";
import { reworkOptions, ReworkAsked } from "../options/rework";
import { surveyData, SurveyAsked } from "../pieces/survey";
import { endRest, RestAsked, RestChange, startRest } from "../hands/rests";
import type {
  Answer,
  HaltData,
  HeardData,
  InstrumentData,
  OptionKept,
  OwnData,
  OwnProposedData,
  PieceMapData,
  MeasurementData,
  OptionData,
  RemediesKept,
  RestData,
  Walked,
  WholeKept,
  TakeData,
  VerdictData,
  WholeTake,
} from "../types";
import { markPlan, PlanMarksAsked } from "../passages/plan-marks";
import {
  chooseWishes,
  markShared,
  SharedMarkAsked,
  retarget,
  shareOut,
  TakenAsked,
  TempoAsked,
  WishesAsked,
} from "../options/wishes";
import { walkBack, WalkAsked } from "../options/walk";
import { CleanRuleAsked, keepCleanRule } from "../trials/clean-rule";
import { FeltAsked, keepFelt } from "../trials/felt";
import { DayAsked, DayLimitAsked, dayPlayed, keepDayLimit } from "../trials/day-played";
import { FilmMarksAsked, markFilm } from "../trials/films";
import { PieceMapAsked, pieceMap } from "../trials/piece-map";
import { addTake, TakeAsked, takesData, TakeWanted, wholeTake } from "../trials/takes";
import { addVerdict, markPractice, PracticeAsked, VerdictAsked } from "../verdicts/verdicts";

/** Thin doors for the pages: each checks what it is given and hands it on. */

export async function newPassage(asked: unknown): Promise<Answer<{ passageId: string }>> {
  const answer = await answering(PassageAsked, asked, ({ db }, given) => addPassage(db, given));
  if (answer.ok) revalidatePath("/");
  return answer;
}

export async function keepFirstOptions(asked: unknown): Promise<Answer<readonly OptionData[]>> {
  return answering(FirstOptionsAsked, asked, ({ db }, given) => addFirstOptions(db, given));
}

export async function changeOption(asked: unknown): Promise<Answer<OptionKept>> {
  return answering(EditAsked, asked, ({ db }, given) => editOption(db, given));
}

export async function walkEdits(asked: unknown): Promise<Answer<Walked>> {
  const answer = await answering(WalkAsked, asked, ({ db }, given) => walkBack(db, given));
  return answer.ok && answer.value.options ? refreshed(answer) : answer;
}

export async function decide(asked: unknown): Promise<Answer<readonly VerdictData[]>> {
  return answering(VerdictAsked, asked, ({ db, zone }, given) => addVerdict(db, given, zone));
}

export async function practise(asked: unknown): Promise<Answer<readonly Day[]>> {
  return answering(PracticeAsked, asked, ({ db, zone }, given) => markPractice(db, given, today(zone)));
}

export async function keepTake(asked: unknown): Promise<Answer<readonly TakeData[]>> {
  return answering(TakeAsked, asked, ({ db }, given) => addTake(db, given));
}

export async function callClean(asked: unknown): Promise<Answer<CleanRule>> {
  return refreshed(await answering(CleanRuleAsked, asked, ({ db }, given) => keepCleanRule(db, given)));
}

export async function keepFilmMarks(asked: unknown): Promise<Answer<null>> {
  return answering(FilmMarksAsked, asked, ({ db }, given) => markFilm(db, given));
}

export async function dayOfPlayer(asked: unknown): Promise<Answer<DayPlayed>> {
  return answering(DayAsked, asked, ({ db }, given) => dayPlayed(db, given));
}

export async function limitDay(asked: unknown): Promise<Answer<{ readonly minutes: number | null }>> {
  return answering(DayLimitAsked, asked, ({ db }, given) => keepDayLimit(db, given));
}

export async function mapOfPiece(asked: unknown): Promise<Answer<PieceMapData>> {
  return answering(PieceMapAsked, asked, ({ db }, given) => pieceMap(db, given));
}

export async function takesOfPassage(asked: unknown): Promise<Answer<readonly TakeData[]>> {
  return answering(TakeWanted, asked, async ({ db }, { id }) => ({ ok: true, value: await takesData(db, id) }));
}

export async function takeAgain(asked: unknown): Promise<Answer<WholeTake>> {
  return answering(TakeWanted, asked, ({ db }, given) => wholeTake(db, given));
}

export async function sayFelt(asked: unknown): Promise<Answer<readonly TakeData[]>> {
  return answering(FeltAsked, asked, ({ db }, given) => keepFelt(db, given));
}

export async function stopPlaying(asked: unknown): Promise<Answer<HaltData | null>> {
  return answering(HaltAsked, asked, ({ db }, given) => startHalt(db, given));
}

export async function playOn(asked: unknown): Promise<Answer<HaltData | null>> {
  return answering(LiftAsked, asked, ({ db }, given) => liftHalt(db, given));
}

export async function setTempo(asked: unknown): Promise<Answer<readonly OptionData[]>> {
  return refreshed(await answering(TempoAsked, asked, ({ db }, given) => retarget(db, given)));
}

export async function keepEntered(asked: unknown): Promise<Answer<EntryKept>> {
  return answering(EntryAsked, asked, ({ db }, given) => keepEntry(db, given));
}

export async function openEntered(asked: unknown): Promise<Answer<{ passageId: string }>> {
  return refreshed(await answering(OpenAsked, asked, ({ db }, given) => openEntry(db, given)));
}

export async function measure(asked: unknown): Promise<Answer<MeasurementData>> {
  return refreshed(
    await answering(MeasurementAsked, asked, ({ db, zone }, given) => keepMeasurement(db, given, today(zone))),
  );
}

export async function retitle(asked: unknown): Promise<Answer<{ readonly title: string | null }>> {
  return refreshed(await answering(RenameAsked, asked, ({ db }, given) => rename(db, given)));
}

export async function takeAway(asked: unknown): Promise<Answer<{ readonly gone: boolean }>> {
  return refreshed(await answering(GoneAsked, asked, ({ db }, given) => takeOrBring(db, given)));
}

export async function beginPlaying(asked: unknown): Promise<Answer<{ readonly playerId: string }>> {
  const answer = await answering(BeginAsked, asked, ({ db, zone }, given) => begin(db, given, today(zone)));
  if (answer.ok) await takeTurn(answer.value.playerId);
  return refreshed(answer);
}

export async function turnTo(asked: unknown): Promise<Answer<{ readonly playerId: string }>> {
  const answer = await answering(TurnAsked, asked, async ({ db }, { playerId }) => {
    if (!(await isHere(db, playerId))) return NOBODY;
    await takeTurn(playerId);
    return { ok: true, value: { playerId } };
  });
  return refreshed(answer);
}

export async function newRecital(asked: unknown): Promise<Answer<{ readonly id: string }>> {
  return refreshed(await answering(NewRecital, asked, ({ db }, given) => addRecital(db, given)));
}

export async function holdRecitalOn(asked: unknown): Promise<Answer<{ readonly heldOn: string }>> {
  return refreshed(await answering(MoveAsked, asked, ({ db }, given) => moveRecital(db, given)));
}

export async function endOfRecital(asked: unknown): Promise<Answer<{ readonly ended: boolean }>> {
  return refreshed(await answering(EndAsked, asked, ({ db }, given) => endRecital(db, given)));
}

export async function putOnProgramme(asked: unknown): Promise<Answer<{ readonly recitalId: string | null }>> {
  return refreshed(await answering(PlayedAtAsked, asked, ({ db }, given) => playAt(db, given)));
}

export async function whatTakesSay(asked: unknown): Promise<Answer<OwnProposedData>> {
  return answering(OwnAsked, asked, ({ db }, given) => proposeOwn(db, given));
}

export async function countByTakes(asked: unknown): Promise<Answer<OwnData | null>> {
  return refreshed(await answering(TakeUpAsked, asked, ({ db }, given) => takeUpOwn(db, given)));
}

export async function countAsBefore(asked: unknown): Promise<Answer<OwnData | null>> {
  return refreshed(await answering(OwnAsked, asked, ({ db }, given) => giveUpOwn(db, given)));
}

export async function beginRest(asked: unknown): Promise<Answer<readonly RestData[]>> {
  return refreshed(await answering(RestAsked, asked, ({ db, zone }, given) => startRest(db, given, today(zone))));
}

export async function finishRest(asked: unknown): Promise<Answer<readonly RestData[]>> {
  return refreshed(await answering(RestChange, asked, ({ db, zone }, given) => endRest(db, given, today(zone))));
}

export async function newInstrument(asked: unknown): Promise<Answer<readonly InstrumentData[]>> {
  return refreshed(await answering(NewInstrument, asked, ({ db }, given) => addInstrument(db, given)));
}

export async function useInstrument(asked: unknown): Promise<Answer<readonly InstrumentData[]>> {
  return refreshed(await answering(TakeUp, asked, ({ db }, given) => takeUpInstrument(db, given)));
}

export async function allow(asked: unknown): Promise<Answer<Allowances>> {
  return refreshed(await answering(AllowancesAsked, asked, ({ db }, given) => keepAllowances(db, given)));
}

export async function remedy(asked: unknown): Promise<Answer<RemediesKept>> {
  return refreshed(await answering(RemediesAsked, asked, ({ db }, given) => chooseRemedies(db, given)));
}

export async function wish(asked: unknown): Promise<Answer<WholeKept<FingeringWishes>>> {
  return answering(WishesAsked, asked, ({ db }, given) => chooseWishes(db, given));
}

export async function keepPlan(asked: unknown): Promise<Answer<WholeKept<PlanMarks>>> {
  const answer = await answering(PlanMarksAsked, asked, ({ db }, given) => markPlan(db, given));
  // Where the tune lies bears on the passage itself; signs and words do not.
  const tune = PlanMarksAsked.safeParse(asked).data;
  return tune && !isSame(tune.before.tune, tune.after.tune) ? refreshed(answer) : answer;
}

export async function giveHands(asked: unknown): Promise<Answer<WholeKept<Redistribution>>> {
  return refreshed(await answering(TakenAsked, asked, ({ db }, given) => shareOut(db, given)));
}

export async function allowOtherHand(asked: unknown): Promise<Answer<null>> {
  return answering(SharedMarkAsked, asked, ({ db }, given) => markShared(db, given));
}

export async function newTyped(asked: unknown): Promise<Answer<readonly OptionData[]>> {
  return answering(TypedAsked, asked, ({ db }, given) => addTyped(db, given));
}

export async function keepFound(asked: unknown): Promise<Answer<readonly OptionData[]>> {
  return answering(FoundAsked, asked, ({ db }, given) => addFound(db, given));
}

export async function workOutAnew(asked: unknown): Promise<Answer<readonly OptionData[]>> {
  return answering(ReworkAsked, asked, ({ db }, given) => reworkOptions(db, given));
}

export async function playPart(asked: unknown): Promise<Answer<{ partId: string }>> {
  return refreshed(await answering(PartAsked, asked, ({ db }, given) => choosePart(db, given)));
}

export async function hearPieceAgain(asked: unknown): Promise<Answer<HeardData>> {
  return refreshed(await answering(HearAsked, asked, ({ db }, given) => hearAgain(db, given)));
}

export async function pieceToSurvey(asked: unknown): Promise<Answer<SurveyData>> {
  return answering(SurveyAsked, asked, ({ db }, given) => surveyData(db, given));
}

/** What bears on every answer makes every page new. */
function refreshed<T>(answer: Answer<T>): Answer<T> {
  if (answer.ok) revalidatePath("/", "layout");
  return answer;
}
