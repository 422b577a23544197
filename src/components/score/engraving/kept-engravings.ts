import { createStore, delMany, get, set, update, type UseStore } from "idb-keyval";
import { ENGRAVING_STYLE, type EngravingAsked } from "@/worker/engraver";

/** Drawings kept at most; the ones not used for longest go first. */
const MOST_KEPT = 60;

/** The browser's database and what it holds them in. */
export const DRAWINGS = { database: "velvet-thumb-drawings", held: "drawings" } as const;

const store: { opened?: UseStore | null } = {};

/** null where the browser keeps nothing. */
function drawings(): UseStore | null {
  if (store.opened === undefined)
    store.opened = typeof indexedDB === "undefined" ? null : createStore(DRAWINGS.database, DRAWINGS.held);
  return store.opened;
}

/** Opens what is kept ahead of the first look, for opening takes longer than looking. */
export function readyKeptEngravings(): void {
  const opened = drawings();
  if (opened) void get("nothing", opened).catch(() => null);
}

/** A sum of the music and all that bears on its drawing; null where this browser makes none, and nothing is kept. */
async function keyOf({ music, width, scale, rows }: EngravingAsked): Promise<string | null> {
  if (typeof crypto === "undefined" || !crypto.subtle) return null;
  const said = new TextEncoder().encode([ENGRAVING_STYLE, width, scale, rows, music].join("|"));
  const sum = new Uint8Array(await crypto.subtle.digest("SHA-256", said));
  return Array.from(sum, (byte) => byte.toString(16).padStart(2, "0")).join("");
}

/** When each drawing was last used, in ms since 1970: looked through without any drawing being loaded. */
const AGES = "ages";
type Ages = Readonly<Record<string, number>>;

/** The drawing of just this, as it was made before; null where there is none. */
export async function keptEngraving(asked: EngravingAsked): Promise<readonly string[] | null> {
  const opened = drawings();
  if (!opened) return null;
  try {
    const key = await keyOf(asked);
    const found = key === null ? undefined : await get<readonly string[]>(key, opened);
    if (key !== null && found) void used(key, opened).catch(() => undefined);
    return found ?? null;
  } catch {
    // A browser that keeps nothing, as in a private window, engraves anew.
    return null;
  }
}

export async function keepEngraving(asked: EngravingAsked, lines: readonly string[]): Promise<void> {
  const opened = drawings();
  if (!opened) return;
  try {
    const key = await keyOf(asked);
    if (key === null) return;
    await set(key, lines, opened);
    await used(key, opened);
  } catch {
    // Nothing is lost: it is engraved anew the next time.
  }
}

/** Notes that a drawing is used now, and lets the oldest go. */
async function used(key: string, opened: UseStore): Promise<void> {
  const gone: string[] = [];
  await update<Ages>(
    AGES,
    (ages = {}) => {
      const newestFirst = Object.entries({ ...ages, [key]: Date.now() }).sort(([, a], [, b]) => b - a);
      gone.splice(0, gone.length, ...newestFirst.slice(MOST_KEPT).map(([old]) => old));
      return Object.fromEntries(newestFirst.slice(0, MOST_KEPT));
    },
    opened,
  );
  await delMany(gone, opened);
}
