import type { ExtractTablesWithRelations } from "drizzle-orm";
import type { PgDatabase } from "drizzle-orm/pg-core";
import { drizzle, type PostgresJsDatabase, type PostgresJsQueryResultHKT } from "drizzle-orm/postgres-js";
import postgres from "postgres";
import * as schema from "./schema";

type Schema = typeof schema;

/** A database, or a transaction in one: what is asked of the one can be asked of the other. */
export type Db = PgDatabase<PostgresJsQueryResultHKT, Schema, ExtractTablesWithRelations<Schema>>;
/** Within a transaction, where rows can be locked. */
export type Tx = Parameters<Parameters<PostgresJsDatabase<Schema>["transaction"]>[0]>[0];

/** A connection pool to the cluster named by an address; opens its first connection when first asked. */
export function connect(address: string): { db: Db; close: () => Promise<void> } {
  const sql = postgres(address, { max: 5, onnotice: () => undefined, connect_timeout: 10 });
  return { db: drizzle(sql, { schema, casing: "snake_case" }), close: () => sql.end() };
}
