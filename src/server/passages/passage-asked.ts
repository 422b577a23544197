import { cache } from "react";
import { z } from "zod";
import { database } from "../connection";
import { playersZone } from "../players/players-zone";
import { passageData } from "./passages";
import type { PassageData } from "../types";

/** The passage an address names, read once a request; null when it names none. */
export const passageAsked = cache(async (id: string): Promise<PassageData | null> => {
  return z.uuid().safeParse(id).success ? passageData(database(), id, await playersZone()) : null;
});
