"use server";

import { revalidatePath } from "next/cache";
import { answering } from "../asking";
import { today } from "../players/day";
import { BlockChange, changeBlock } from "../practice/blocks";
import { addNote, NoteAsked } from "../practice/notes";
import { AheadAsked, DayPlanAsked, daysAhead, planToday } from "../practice/plan-day";
import { keepSettings, SettingsAsked } from "../practice/settings";
import { keepStand, StandKept } from "../practice/stand";
import type { Answer, DayAheadData, PracticeSettings, TodayData } from "../types";

/** Thin doors for the practice of the day, as in ./index. */

export async function planMyDay(asked: unknown): Promise<Answer<TodayData>> {
  return answering(DayPlanAsked, asked, ({ db, zone }, given) => planToday(db, given, today(zone), zone));
}

export async function lookAhead(asked: unknown): Promise<Answer<readonly DayAheadData[]>> {
  return answering(AheadAsked, asked, ({ db, zone }, given) => daysAhead(db, given, today(zone), zone));
}

export async function changeOfBlock(asked: unknown): Promise<Answer<TodayData>> {
  return answering(BlockChange, asked, ({ db, zone }, given) => changeBlock(db, given, zone));
}

export async function practiseLike(asked: unknown): Promise<Answer<PracticeSettings>> {
  const answer = await answering(SettingsAsked, asked, ({ db }, given) => keepSettings(db, given));
  if (answer.ok) revalidatePath("/");
  return answer;
}

export async function keepPractice(asked: unknown): Promise<Answer<null>> {
  return answering(StandKept, asked, ({ db }, given) => keepStand(db, given));
}

export async function writeNote(asked: unknown): Promise<Answer<{ readonly id: string }>> {
  const answer = await answering(NoteAsked, asked, ({ db }, given) => addNote(db, given));
  if (answer.ok) revalidatePath("/diary");
  return answer;
}
