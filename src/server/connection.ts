import { connect, type Db } from "@/db/client";

const shared = globalThis as { velvetDb?: Db };

/** The database of this server; connects lazily, so that building needs none. */
export function database(): Db {
  const address = process.env["DATABASE_URL"];
  if (!address) throw new Error("DATABASE_URL is not set. Start with: npm run demo");
  return (shared.velvetDb ??= connect(address).db);
}
