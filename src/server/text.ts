import { z } from "zod";

/** Characters that no text of a player needs and that databases, files or screens cannot bear. Line breaks and tabs may stay. */
const UNSEEN = /[\u0000-\u0008\u000b\u000c\u000e-\u001f\u007f-\u009f\ufffe\uffff]/;

/** A text as a player writes it, without space around it; what cannot be kept is refused. @param most letters, and what is said past them */
export function text(most: readonly [number, string]) {
  return z
    .string({ error: "A text is wanted here." })
    .trim()
    .max(...most)
    .refine((given) => given.isWellFormed() && !UNSEEN.test(given), "The text holds characters that cannot be kept.");
}

/** Names of pieces, passages, options and instruments. @param what it is, in "Give the … a name." */
export function name(what: string) {
  return text([120, "A name has at most 120 letters."]).min(1, `Give the ${what} a name.`);
}
