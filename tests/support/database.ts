import postgres from "postgres";
import { connect, type Db } from "@/db/client";
import { migrateToNewest } from "@/db/migrate";
import { loadDemo } from "@/server/load-demo";

export interface TestDatabase {
  readonly db: Db;
  readonly address: string;
  readonly drop: () => Promise<void>;
}

/** A database that others are copied from, and what was found out while it was filled. */
interface Template<T> {
  readonly value: T;
  copy(): Promise<TestDatabase>;
  drop(): Promise<void>;
}

/** Made once in a test run, by whoever needs it first: at the newest schema and empty. */
const NEWEST = "velvet_newest";
/** Made by npm test from the demo that it has loaded; where tests run without it, each loads the demo itself. */
const DEMO = "velvet_demo";

/** A database of a test's own in the test cluster, at the newest schema, dropped afterwards. */
export async function freshDatabase(): Promise<Own> {
  await asAdmin(async (admin) => {
    await admin`select pg_advisory_lock(1)`;
    if (!(await isThere(admin, NEWEST))) await makeNewest(admin);
    await admin`select pg_advisory_unlock(1)`;
  });
  return copyOf(NEWEST);
}

/** The same with the whole demo in it. */
export async function demoDatabase(): Promise<TestDatabase> {
  if (await asAdmin((admin) => isThere(admin, DEMO))) return copyOf(DEMO);
  const made = await freshDatabase();
  await loadDemo(made.db);
  return made;
}

/** A database filled once, of which each test gets a copy of its own. */
export async function filledDatabase<T>(fill: (db: Db) => Promise<T>): Promise<Template<T>> {
  const made = await freshDatabase();
  const value = await fill(made.db);
  await made.close();
  return { value, copy: () => copyOf(made.name), drop: made.drop };
}

/** The same without any table. */
export async function emptyDatabase(): Promise<TestDatabase> {
  return copyOf("template0");
}

interface Own extends TestDatabase {
  readonly name: string;
  readonly close: () => Promise<void>;
}

async function copyOf(template: string): Promise<Own> {
  const name = `test_${process.pid}_${Math.random().toString(36).slice(2)}`;
  await asAdmin((admin) => admin.unsafe(`create database ${name} template ${template}`));
  const address = addressOf(name);
  const { db, close } = connect(address);
  const drop = async (): Promise<void> => {
    await close();
    await asAdmin((admin) => admin.unsafe(`drop database ${name} with (force)`));
  };
  return { db, address, name, close, drop };
}

async function makeNewest(admin: postgres.Sql): Promise<void> {
  const making = `${NEWEST}_making`;
  await admin.unsafe(`drop database if exists ${making} with (force)`);
  await admin.unsafe(`create database ${making}`);
  const { db, close } = connect(addressOf(making));
  await migrateToNewest(db);
  await close();
  await admin.unsafe(`alter database ${making} rename to ${NEWEST}`);
}

async function isThere(admin: postgres.Sql, name: string): Promise<boolean> {
  return (await admin`select 1 from pg_database where datname = ${name}`).length > 0;
}

async function asAdmin<T>(work: (admin: postgres.Sql) => Promise<T>): Promise<T> {
  const admin = postgres(addressOf("postgres"), { max: 1, onnotice: () => undefined });
  try {
    return await work(admin);
  } finally {
    await admin.end();
  }
}

function addressOf(name: string): string {
  const address = process.env["DATABASE_URL"];
  if (!address) throw new Error("Database tests need the test cluster: run npm test.");
  return address.replace(/\/[^/]*$/, `/${name}`);
}
