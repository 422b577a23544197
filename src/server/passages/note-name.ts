import { z } from "zod";

/** The name of a note, as reading a score gives it. */
export const NoteName = z.string().regex(/^b\d+-s\d+-v[A-Za-z0-9]+-n\d+$/, "This is not the name of a note.");
