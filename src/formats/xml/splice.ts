/** One replacement in a text: characters from start to end give way to the new ones. */
export interface Edit {
  readonly start: number;
  readonly end: number;
  readonly with: string;
}

/**
 * Applies edits that do not overlap; everything outside them stays as it is.
 * @throws Error when two edits overlap, which is a mistake of the caller
 */
export function splice(text: string, edits: readonly Edit[]): string {
  const ordered = edits
    .map((edit, order) => ({ ...edit, order }))
    .sort((a, b) => a.start - b.start || a.end - b.end || a.order - b.order);
  let done = 0;
  let out = "";
  for (const edit of ordered) {
    if (edit.start < done) throw new Error(`Edits overlap at ${edit.start}.`);
    out += text.slice(done, edit.start) + edit.with;
    done = edit.end;
  }
  return out + text.slice(done);
}
