import { connect } from "@/db/client";
import { migrateToNewest } from "@/db/migrate";
import { failureOf } from "@/db/failures";
import { forgetOldRequests } from "@/db/queries/history";
import { loadDemo } from "@/server/load-demo";
import { closeThreads } from "@/server/threads/pool";

/** Brings the database named by DATABASE_URL to the newest schema; with --demo loads the demo data if there is no pianist yet. */
const { db, close } = connect(process.env["DATABASE_URL"] ?? "");
try {
  await migrateToNewest(db);
  await forgetOldRequests(db);
  if (process.argv.includes("--demo") && (await loadDemo(db))) console.error("Loaded the demo data.");
} catch (error) {
  if (failureOf(error) !== "away") throw error;
  console.error("The database does not answer. Start again; if it stays so, its log is in data/cluster/server.log.");
  process.exitCode = 1;
} finally {
  await closeThreads();
  await close();
}
