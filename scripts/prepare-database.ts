import { connect } from "@/db/client";
import { migrateToNewest } from "@/db/migrate";
import { loadDemo } from "@/server/load-demo";

/** Brings the database named by DATABASE_URL to the newest schema; with --demo loads the demo data if there is no pianist yet. */
const { db, close } = connect(process.env["DATABASE_URL"] ?? "");
try {
  await migrateToNewest(db);
  if (process.argv.includes("--demo") && (await loadDemo(db))) console.error("Loaded the demo data.");
} finally {
  await close();
}
