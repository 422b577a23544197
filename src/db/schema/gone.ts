import { timestamp } from "drizzle-orm/pg-core";

/** When something was taken away; null while it is here. What was taken away can be had back, see queries/belongings. */
export const goneAt = () => timestamp({ withTimezone: true });
