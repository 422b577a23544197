import { migrate } from "drizzle-orm/postgres-js/migrator";
import { join } from "node:path";
import type { Db } from "./client";

/** Where the migrations lie, seen from the project's folder, in which every command runs, or which it names. */
const MIGRATIONS = join(process.env["VELVET_ROOT"] ?? process.cwd(), "src/db/migrations");

/** Brings a database to the newest schema; does nothing when it is there. */
export async function migrateToNewest(db: Db): Promise<void> {
  await migrate(db, { migrationsFolder: MIGRATIONS });
}
