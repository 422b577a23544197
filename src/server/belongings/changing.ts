import { eq } from "drizzle-orm";
import type { PgColumn, PgTable } from "drizzle-orm/pg-core";
import type { Db } from "@/db/client";
import type { Belonging } from "./belonging";

/**
 * The changes that every kind of belonging has, on its own table.
 * @param titled the column that holds its title
 */
export function changing(
  table: PgTable & { readonly id: PgColumn; readonly goneAt: PgColumn },
  titled: "title" | "name" | "text" = "title",
): Pick<Belonging, "rename" | "setGone"> {
  const set = async (db: Db, id: string, values: Readonly<Record<string, unknown>>): Promise<boolean> => {
    const done = await db
      .update(table)
      .set(values as never)
      .where(eq(table.id, id))
      .returning({ id: table.id });
    return done.length > 0;
  };
  return {
    rename: (db, id, title) => set(db, id, { [titled]: title }),
    setGone: (db, id, goneAt) => set(db, id, { goneAt }),
  };
}
