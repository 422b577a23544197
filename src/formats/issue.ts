/** Something a reader or writer has to say about a file. */
export interface FileIssue {
  /** For programs: "not-xml", "no-notes", ... */
  readonly code: string;
  /** For people: what is the matter, in one sentence. */
  readonly message: string;
  /** Where, as far as it is known: line and column, or part and bar. */
  readonly place: string | null;
  /** A refusal leaves nothing read; a remark leaves the rest as it is. */
  readonly severity: "refusal" | "remark";
}

export type Read<T> =
  | { readonly ok: true; readonly value: T; readonly issues: readonly FileIssue[] }
  | { readonly ok: false; readonly issues: readonly FileIssue[] };

export function refusal(
  code: string,
  message: string,
  place: string | null = null,
): { readonly ok: false; readonly issues: readonly FileIssue[] } {
  return { ok: false, issues: [{ code, message, place, severity: "refusal" }] };
}

export function remark(code: string, message: string, place: string | null = null): FileIssue {
  return { code, message, place, severity: "remark" };
}

/** One line for the player: what, and where. */
export function wording(issue: FileIssue): string {
  return issue.place ? `${issue.message} (${issue.place})` : issue.message;
}
