import { createHash, randomBytes } from "node:crypto";
import { sealData, unsealData } from "iron-session";
import { passphrase } from "./passphrase";

export const SESSION_COOKIE = "velvet-door";

/** Seconds that the door stays open for a browser. A choice: a month. */
export const SESSION_SECONDS = 30 * 24 * 3600;

const shared = globalThis as { velvetSecret?: string };

/** By which sessions are sealed: kept with the data where a start gives one, else as long as the server runs. Another passphrase ends all. */
function secret(): string {
  const kept = (shared.velvetSecret ??= process.env["VELVET_SECRET"] || randomBytes(32).toString("hex"));
  return createHash("sha256")
    .update(`${kept} ${passphrase() ?? ""}`)
    .digest("hex");
}

/** What a browser carries that was let in. */
export function newSession(): Promise<string> {
  return sealData({ isIn: true }, { password: secret(), ttl: SESSION_SECONDS });
}

export async function isLetIn(cookie: string | undefined): Promise<boolean> {
  if (!cookie) return false;
  const session = await unsealData<{ isIn?: boolean }>(cookie, { password: secret(), ttl: SESSION_SECONDS }).catch(
    () => null,
  );
  return session?.isIn === true;
}
