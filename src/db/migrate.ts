import { migrate } from "drizzle-orm/postgres-js/migrator";
import { fileURLToPath } from "node:url";
import type { Db } from "./client";

/** Brings a database to the newest schema; does nothing when it is there. */
export async function migrateToNewest(db: Db, folder = fileURLToPath(new URL("./migrations", import.meta.url))): Promise<void> {
  await migrate(db, { migrationsFolder: folder });
}
