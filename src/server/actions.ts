"use server";

import { revalidatePath } from "next/cache";
import type { z } from "zod";
import type { Db } from "@/db/client";
import { database } from "./connection";
import { addFirstOptions, editOption, EditAsked, FirstOptionsAsked, walkOption, WalkAsked } from "./options";
import { addPassage, PassageAsked } from "./passages";
import type { Answer, Kept, OptionData, VerdictData } from "./types";
import { addVerdict, VerdictAsked } from "./verdicts";

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

export async function walkEdits(asked: unknown): Promise<Answer<Kept>> {
  return checked(WalkAsked, asked, walkOption);
}

export async function decide(asked: unknown): Promise<Answer<readonly VerdictData[]>> {
  return checked(VerdictAsked, asked, addVerdict);
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
