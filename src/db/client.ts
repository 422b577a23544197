import { drizzle, type PostgresJsDatabase } from "drizzle-orm/postgres-js";
import postgres from "postgres";
import * as schema from "./schema";

export type Db = PostgresJsDatabase<typeof schema>;
/** Within a transaction. */
export type Tx = Parameters<Parameters<Db["transaction"]>[0]>[0];

/** A connection pool to the cluster named by an address; opens its first connection when first asked. */
export function connect(address: string): { db: Db; close: () => Promise<void> } {
  const sql = postgres(address, { max: 5, onnotice: () => undefined });
  return { db: drizzle(sql, { schema, casing: "snake_case" }), close: () => sql.end() };
}
