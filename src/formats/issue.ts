/** Where in a score: a part by its id, and the bar as numbered on paper. */
export interface ScorePlace {
  readonly part: string;
  readonly bar: string;
}

/** Something a reader or writer has to say about a file. */
export interface FileIssue {
  /** For programs: "not-xml", "no-notes", ... */
  readonly code: string;
  /** For people: what is the matter, in one sentence. */
  readonly message: string;
  /** Where, as far as it is known: line and column, or part and bar. */
  readonly place: string | ScorePlace | null;
  /** A refusal leaves nothing read; a remark leaves the rest as it is. */
  readonly severity: "refusal" | "remark";
}

export type Read<T> =
  | { readonly ok: true; readonly value: T; readonly issues: readonly FileIssue[] }
  | { readonly ok: false; readonly issues: readonly FileIssue[] };

export function refusal(
  code: string,
  message: string,
  place: FileIssue["place"] = null,
): { readonly ok: false; readonly issues: readonly FileIssue[] } {
  return { ok: false, issues: [{ code, message, place, severity: "refusal" }] };
}

export function remark(code: string, message: string, place: FileIssue["place"] = null): FileIssue {
  return { code, message, place, severity: "remark" };
}

/** One line for the player: what, and where. */
export function wording({ message, place }: FileIssue): string {
  if (place === null) return message;
  return `${message} (${typeof place === "string" ? place : `part ${place.part}, bar ${place.bar}`})`;
}

/** Bars named one by one in a remark; of more, only how many there are. */
const BARS_NAMED = 5;

/**
 * Remarks as a player wants to hear them: those on the parts that are played and on the file as a whole, of each kind one
 * line with its bars.
 * @param parts ids of the parts that are played
 */
export function remarksOn(issues: readonly FileIssue[], parts: readonly string[]): readonly string[] {
  const kinds = new Map<string, { readonly first: FileIssue; readonly bars: Set<string> }>();
  for (const issue of issues) {
    const { code, place } = issue;
    const inScore = place !== null && typeof place !== "string";
    if (inScore && !parts.includes(place.part)) continue;
    const known = kinds.get(code) ?? { first: issue, bars: new Set<string>() };
    kinds.set(code, known);
    if (inScore) known.bars.add(place.bar);
  }
  return [...kinds.values()].map(({ first, bars }) =>
    bars.size < 2 ? inShort(first) : `${first.message} (${barsText([...bars])})`,
  );
}

function inShort(issue: FileIssue): string {
  const { message, place } = issue;
  return place !== null && typeof place !== "string" ? `${message} (bar ${place.bar})` : wording(issue);
}

function barsText(bars: readonly string[]): string {
  const named = bars.slice(0, BARS_NAMED);
  const more = bars.length - named.length;
  return more > 0
    ? `bars ${named.join(", ")} and ${more} more`
    : `bars ${named.slice(0, -1).join(", ")} and ${named.at(-1)}`;
}
