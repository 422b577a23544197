import { format, parseISO } from "date-fns";
import type { Db } from "@/db/client";

/** Something that was taken away, as it is listed. */
interface GoneListed {
  readonly id: string;
  readonly title: string;
  /** What it belongs to, where its title alone does not tell. */
  readonly of: string | null;
  readonly at: Date;
}

/** A kind of thing that a player can give another title, take away and have back. */
export interface Belonging {
  /** What it is called in a sentence. */
  readonly noun: string;
  /** Whether it goes by something else where it has no title of its own. */
  readonly untitled: boolean;
  /** Gives it a title, or takes its own title away with null. @returns whether it is there */
  rename(db: Db, id: string, title: string | null): Promise<boolean>;
  /** Takes it away as of a moment, or brings it back with null. @returns whether it is there */
  setGone(db: Db, id: string, at: Date | null): Promise<boolean>;
  /** Why it has to stay, in a sentence; null where it may go. */
  stays?(db: Db, id: string): Promise<string | null>;
  /** What of this kind a player has taken away. */
  gone(db: Db, pianistId: string): Promise<readonly GoneListed[]>;
}

/** "2 Nov 2026" from an ISO date: by which things without a title are known. */
export function dayInWords(day: string): string {
  return format(parseISO(day), "d MMM yyyy");
}
