import { createStore, del, entries, get, set, type UseStore } from "idb-keyval";
import { ENGRAVING_STYLE, type EngravingAsked } from "@/worker/engraver";

/** Drawings kept in the browser, so that known music stands on the page before the engraver has started. */
interface Kept {
  readonly lines: readonly string[];
  /** ms since 1970 when it was last used. */
  readonly used: number;
}

/** Drawings kept at most; the ones not used for longest go first. */
const MOST_KEPT = 60;

const store: { opened?: UseStore | null } = {};

/** null where the browser keeps nothing. */
function drawings(): UseStore | null {
  if (store.opened === undefined)
    store.opened = typeof indexedDB === "undefined" ? null : createStore("velvet-thumb-engravings", "drawings");
  return store.opened;
}

/** Opens what is kept ahead of the first look, for opening takes longer than looking. */
export function readyKeptEngravings(): void {
  const opened = drawings();
  if (opened) void get("nothing", opened).catch(() => null);
}

function keyOf({ music, width, scale, rows }: EngravingAsked): string {
  return [ENGRAVING_STYLE, width, scale, rows, music].join("|");
}

/** The drawing of just this, as it was made before; null where there is none. */
export async function keptEngraving(asked: EngravingAsked): Promise<readonly string[] | null> {
  const opened = drawings();
  if (!opened) return null;
  try {
    const found = await get<Kept>(keyOf(asked), opened);
    if (found) void set(keyOf(asked), { ...found, used: Date.now() }, opened);
    return found?.lines ?? null;
  } catch {
    // A browser that keeps nothing, as in a private window, engraves anew.
    return null;
  }
}

export async function keepEngraving(asked: EngravingAsked, lines: readonly string[]): Promise<void> {
  const opened = drawings();
  if (!opened) return;
  try {
    await set(keyOf(asked), { lines, used: Date.now() } satisfies Kept, opened);
    const all = await entries<string, Kept>(opened);
    const oldest = all.sort(([, a], [, b]) => b.used - a.used).slice(MOST_KEPT);
    await Promise.all(oldest.map(([key]) => del(key, opened)));
  } catch {
    // Nothing is lost: it is engraved anew the next time.
  }
}
