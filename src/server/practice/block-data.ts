import type { BlockKept } from "@/db/queries/practice";
import type { BlockData } from "../types";

/** A block as pages are given it. */
export function blockData({ block: own, passage, piece }: BlockKept): BlockData {
  return {
    id: own.id,
    doing: own.doing,
    passage,
    piece,
    why: own.why,
    minutes: own.minutes,
    dose: { right: own.doseRight, left: own.doseLeft },
    state: own.state,
    done: doneData(own),
  };
}

function doneData({ doneMinutes, doneAt, tempo, good, plays, loose, note }: BlockKept["block"]): BlockData["done"] {
  if (doneMinutes === null || doneAt === null) return null;
  return {
    minutes: doneMinutes,
    tempo,
    count: good === null || plays === null ? null : { good, plays },
    loose,
    note,
    at: doneAt.toISOString(),
  };
}
