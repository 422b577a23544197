"use server";

import { revalidatePath } from "next/cache";
import type { z } from "zod";
import type { Db } from "@/db/client";
import type { FingeringWishes } from "@/core/fingering/wishes";
import type { PlanMarks } from "@/core/motion/plan-marks";
import type { HandsTaken } from "@/core/passage/passage";
import type { Day } from "@/core/time/days";
import type { SurveyData } from "@/core/reach/survey";
import type { Allowances } from "@/core/reach/allowances";
import { database } from "./connection";
import { addFound, addTyped, FoundAsked, TypedAsked } from "./editions";
import { EntryAsked, keepEntry, openEntry, OpenAsked, type EntryKept } from "./entries";
import { addInstrument, NewInstrument, TakeUp, takeUpInstrument } from "./instruments";
import { keepMeasurement, MeasurementAsked, RemovalAsked, removeMeasurement } from "./measuring";
import { addFirstOptions, editOption, EditAsked, FirstOptionsAsked } from "./options";
import { addPassage, PassageAsked } from "./passages";
import { AllowancesAsked, chooseRemedies, keepAllowances, RemediesAsked } from "./remedies";
import { reworkOptions, ReworkAsked } from "./rework";
import { surveyData, SurveyAsked } from "./survey";
import { endRest, RestAsked, RestChange, startRest } from "./rests";
import type {
  Answer,
  InstrumentData,
  Kept,
  MeasurementData,
  OptionData,
  RemediesKept,
  RestData,
  Walked,
  WholeKept,
  VerdictData,
} from "./types";
import { markPlan, PlanMarksAsked } from "./plan-marks";
import {
  chooseWishes,
  markShared,
  SharedMarkAsked,
  retarget,
  shareOut,
  TakenAsked,
  TempoAsked,
  WishesAsked,
} from "./wishes";
import { walkBack, WalkAsked } from "./walk";
import { addVerdict, markPractice, PracticeAsked, VerdictAsked } from "./verdicts";

/** Thin doors for the pages: each checks what it is given and hands it on. */

export async function newPassage(asked: unknown): Promise<Answer<{ passageId: string }>> {
  const answer = await checked(PassageAsked, asked, addPassage);
  if (answer.ok) revalidatePath("/");
  return answer;
}

export async function keepFirstOptions(asked: unknown): Promise<Answer<readonly OptionData[]>> {
  return checked(FirstOptionsAsked, asked, addFirstOptions);
}

export async function changeOption(asked: unknown): Promise<Answer<Kept>> {
  return checked(EditAsked, asked, editOption);
}

export async function walkEdits(asked: unknown): Promise<Answer<Walked>> {
  const answer = await checked(WalkAsked, asked, walkBack);
  return answer.ok && answer.value.options ? refreshed(answer) : answer;
}

export async function decide(asked: unknown): Promise<Answer<readonly VerdictData[]>> {
  return checked(VerdictAsked, asked, addVerdict);
}

export async function practise(asked: unknown): Promise<Answer<readonly Day[]>> {
  return checked(PracticeAsked, asked, markPractice);
}

export async function setTempo(asked: unknown): Promise<Answer<readonly OptionData[]>> {
  return refreshed(await checked(TempoAsked, asked, retarget));
}

export async function keepEntered(asked: unknown): Promise<Answer<EntryKept>> {
  return checked(EntryAsked, asked, keepEntry);
}

export async function openEntered(asked: unknown): Promise<Answer<{ passageId: string }>> {
  return refreshed(await checked(OpenAsked, asked, openEntry));
}

export async function measure(asked: unknown): Promise<Answer<MeasurementData>> {
  return refreshed(await checked(MeasurementAsked, asked, keepMeasurement));
}

export async function forgetMeasurement(asked: unknown): Promise<Answer<MeasurementData>> {
  return refreshed(await checked(RemovalAsked, asked, removeMeasurement));
}

export async function beginRest(asked: unknown): Promise<Answer<readonly RestData[]>> {
  return refreshed(await checked(RestAsked, asked, startRest));
}

export async function finishRest(asked: unknown): Promise<Answer<readonly RestData[]>> {
  return refreshed(await checked(RestChange, asked, endRest));
}

export async function newInstrument(asked: unknown): Promise<Answer<readonly InstrumentData[]>> {
  return refreshed(await checked(NewInstrument, asked, addInstrument));
}

export async function useInstrument(asked: unknown): Promise<Answer<readonly InstrumentData[]>> {
  return refreshed(await checked(TakeUp, asked, takeUpInstrument));
}

export async function allow(asked: unknown): Promise<Answer<Allowances>> {
  return refreshed(await checked(AllowancesAsked, asked, keepAllowances));
}

export async function remedy(asked: unknown): Promise<Answer<RemediesKept>> {
  return refreshed(await checked(RemediesAsked, asked, chooseRemedies));
}

export async function wish(asked: unknown): Promise<Answer<WholeKept<FingeringWishes>>> {
  return refreshed(await checked(WishesAsked, asked, chooseWishes));
}

export async function keepPlan(asked: unknown): Promise<Answer<WholeKept<PlanMarks>>> {
  return checked(PlanMarksAsked, asked, markPlan);
}

export async function giveHands(asked: unknown): Promise<Answer<WholeKept<HandsTaken>>> {
  return refreshed(await checked(TakenAsked, asked, shareOut));
}

export async function allowOtherHand(asked: unknown): Promise<Answer<null>> {
  return refreshed(await checked(SharedMarkAsked, asked, markShared));
}

export async function newTyped(asked: unknown): Promise<Answer<readonly OptionData[]>> {
  return refreshed(await checked(TypedAsked, asked, addTyped));
}

export async function keepFound(asked: unknown): Promise<Answer<readonly OptionData[]>> {
  return checked(FoundAsked, asked, addFound);
}

export async function workOutAnew(asked: unknown): Promise<Answer<readonly OptionData[]>> {
  return refreshed(await checked(ReworkAsked, asked, reworkOptions));
}

export async function pieceToSurvey(asked: unknown): Promise<Answer<SurveyData>> {
  return checked(SurveyAsked, asked, surveyData);
}

/** What bears on every answer makes every page new. */
function refreshed<T>(answer: Answer<T>): Answer<T> {
  if (answer.ok) revalidatePath("/", "layout");
  return answer;
}

async function checked<Schema extends z.ZodType, T>(
  schema: Schema,
  asked: unknown,
  then: (db: Db, given: z.infer<Schema>) => Promise<Answer<T>>,
): Promise<Answer<T>> {
  const parsed = schema.safeParse(asked);
  if (!parsed.success) return { ok: false, message: parsed.error.issues.map((issue) => issue.message).join(" ") };
  return then(database(), parsed.data);
}
