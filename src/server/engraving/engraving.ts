import { createHash } from "node:crypto";
import { LRUCache } from "lru-cache";
import type { Engraved, EngravingAsked } from "@/formats/musicxml/engraving/engrave";
import { inThread } from "../threads/pool";

/** Letters of drawings that are kept in memory. A choice: some hundred passages. */
const MOST_LETTERS = 64_000_000;

const shared = globalThis as { velvetDrawings?: LRUCache<string, readonly string[]> };

function drawn(): LRUCache<string, readonly string[]> {
  return (shared.velvetDrawings ??= new LRUCache({
    maxSize: MOST_LETTERS,
    sizeCalculation: (lines) => lines.reduce((sum, line) => sum + line.length, 1),
  }));
}

/**
 * The drawing of a music, made once for all windows; null where nobody waits for it any more, and a word where the
 * music cannot be drawn.
 * @throws TooMuch
 */
export async function engraving(asked: EngravingAsked, leftAlone: AbortSignal): Promise<Engraved | "not-engraved"> {
  const key = createHash("sha256").update(JSON.stringify(asked)).digest("base64");
  const known = drawn().get(key);
  if (known) return known;
  if (leftAlone.aborted) return null;
  const overtaken = new Int32Array(new SharedArrayBuffer(Int32Array.BYTES_PER_ELEMENT));
  const overtake = (): void => void Atomics.store(overtaken, 0, 1);
  leftAlone.addEventListener("abort", overtake, { once: true });
  try {
    const lines = await inThread("engraved", { asked, overtaken });
    if (typeof lines === "object" && lines) drawn().set(key, lines);
    return lines;
  } finally {
    leftAlone.removeEventListener("abort", overtake);
  }
}

/** Starts the engraver, so that it is warm when it is first wanted. */
export async function warmEngraver(): Promise<void> {
  await inThread("engraverWarm", undefined);
}
