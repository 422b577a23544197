import type { z } from "zod";
import { failureOf } from "@/db/failures";
import type { Db } from "@/db/client";
import { database } from "./connection";
import { playersZone } from "./players/players-zone";
import { TooMuch } from "./threads/pool";
import type { Answer } from "./types";
import type { Zone } from "@/core/time/zone";

/** What the answer to a request depends on beside the request itself. */
export interface Asking {
  readonly db: Db;
  /** Where the player is: their days begin and end there. */
  readonly zone: Zone;
}

/** The answer where the database is not there: the request may be sent again, and does nothing twice. */
const AWAY = { ok: false, message: "The database does not answer.", later: true } as const;

/** The answer where no room is left for it: it is sent again, and kept once there is some. */
const FULL = {
  ok: false,
  message: "The disk with the data is full. Nothing is lost: free some room on it, and this is kept.",
  later: true,
} as const;

/**
 * Answers a request: checks what is given, does it, and turns whatever goes wrong into a sentence. Only where the database
 * is not there may it be sent again.
 */
export async function answering<Schema extends z.ZodType, T>(
  schema: Schema,
  given: unknown,
  then: (asking: Asking, asked: z.infer<Schema>) => Promise<Answer<T>>,
): Promise<Answer<T>> {
  try {
    const parsed = schema.safeParse(given);
    if (!parsed.success) return { ok: false, message: complaints(parsed.error) };
    return await then({ db: database(), zone: await playersZone() }, parsed.data);
  } catch (error) {
    return refusalOf(error);
  }
}

/** What went wrong, in a sentence; what nobody expected goes into the server's log. */
export function refusalOf(error: unknown): Answer<never> {
  const failure = failureOf(error);
  if (failure === "away") return AWAY;
  if (failure === "full") return FULL;
  if (failure === "gone") return { ok: false, message: "What this belongs to is not there any more." };
  if (error instanceof TooMuch)
    return { ok: false, message: "This takes more time or memory than anything of its kind." };
  console.error(error);
  if (failure === "refused") return { ok: false, message: "This cannot be kept as it is." };
  return { ok: false, message: "Something went wrong on the server; nothing was changed." };
}

function complaints(error: z.ZodError): string {
  return [...new Set(error.issues.map((issue) => issue.message))].slice(0, 5).join(" ");
}
