/**
 * How keys that mean something on the whole of a page are listened for. A slider and a choice have a use for the arrows alone: what
 * else is pressed while one of them is in hand, as it is after a click, means what it means everywhere.
 */
export const PAGE_KEYS = { preventDefault: true, enableOnFormTags: ["slider", "radio"] } as const;
