import postgres from "postgres";
import { connect, type Db } from "@/db/client";
import { migrateToNewest } from "@/db/migrate";

export interface TestDatabase {
  readonly db: Db;
  readonly address: string;
  readonly drop: () => Promise<void>;
}

/** A database of a test's own in the test cluster, at the newest schema, dropped afterwards. */
export async function freshDatabase(): Promise<TestDatabase> {
  const made = await emptyDatabase();
  await migrateToNewest(made.db);
  return made;
}

/** The same without any table. */
export async function emptyDatabase(): Promise<TestDatabase> {
  const address = process.env["DATABASE_URL"];
  if (!address) throw new Error("Database tests need the test cluster: run npm test.");
  const name = `test_${process.pid}_${Math.random().toString(36).slice(2)}`;
  const admin = postgres(address, { max: 1, onnotice: () => undefined });
  await admin.unsafe(`create database ${name}`);
  const own = address.replace(/\/[^/]*$/, `/${name}`);
  const { db, close } = connect(own);
  return {
    db,
    address: own,
    drop: async () => {
      await close();
      await admin.unsafe(`drop database ${name} with (force)`);
      await admin.end();
    },
  };
}
