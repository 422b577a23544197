/** A key, or those of a chord, lowest first. */
export type Keys = number | readonly number[];
