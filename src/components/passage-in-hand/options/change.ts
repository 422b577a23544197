import type { OptionData } from "@/server/types";
import { mergedRecord } from "@/core/merge";
import type { Made } from "./option-changes";

/** A change on its way: how an option stands after it, and the version that was shown when it was made. */
export interface OptionChange extends Made {
  readonly id: string;
  readonly fingeringId: string;
  readonly seen: number;
  /** How the option stood before it. */
  readonly from: Pick<OptionData, "digits" | "pins" | "ruledOut">;
}

/** A change as the server is told of it. */
export function asSent({
  id,
  fingeringId,
  seen,
  kind,
  noteId,
  finger,
  digits,
  pins,
  ruledOut,
}: OptionChange): Omit<OptionChange, "from"> {
  return { id, fingeringId, seen, kind, noteId, finger, digits, pins, ruledOut };
}

/** What was made on a change, without that change. */
export function without<T extends Pick<OptionData, "pins" | "ruledOut">>(
  { from, pins, ruledOut }: OptionChange,
  made: T,
): T {
  return {
    ...made,
    pins: mergedRecord(pins, made.pins, from.pins),
    ruledOut: mergedRecord(ruledOut, made.ruledOut, from.ruledOut),
  };
}
