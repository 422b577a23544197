/** The answer where a window asks about a passage that was deleted meanwhile. */
export const GONE = { ok: false, message: "This passage is not there any more." } as const;
