/** What went wrong with a query, as far as the player can do something about it. */
export type Failure = "away" | "full" | "gone" | "refused";

/** No room is left on the disk, or in what the data folder may hold. */
const FULL = "53100";
const FULL_SAID = /could not (extend|write to|write) file .*(No space left|File too large|Disk quota)/;

/** Codes of PostgreSQL (appendix A) and of its client that mean that the database is not there, or is going. */
const AWAY = /^(08|57P|53)|^(ECONN|CONNECT|EPIPE|ETIMEDOUT|ENOENT$|CONNECTION_)/;
const FOREIGN_KEY = "23503";
/** Checks, not-null, and values that a column cannot hold. */
const REFUSED = /^(23|22)/;

/** Reads it off an error, which Drizzle wraps; null where it is no matter of the database. */
export function failureOf(error: unknown): Failure | null {
  for (let at = error, deep = 0; at instanceof Error && deep < 5; at = at.cause, deep++) {
    const { code } = at as { readonly code?: unknown };
    if (typeof code !== "string") continue;
    if (code === FULL || FULL_SAID.test(at.message)) return "full";
    if (AWAY.test(code)) return "away";
    if (code === FOREIGN_KEY) return "gone";
    if (REFUSED.test(code)) return "refused";
  }
  return null;
}
