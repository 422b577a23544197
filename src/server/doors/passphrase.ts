import { createHash, timingSafeEqual } from "node:crypto";
import { RateLimiterMemory, RateLimiterRes } from "rate-limiter-flexible";

/** What opens the door for others than this machine; null where none is set, and then nobody else comes in. */
export function passphrase(): string | null {
  const set = process.env["VELVET_PASSPHRASE"]?.trim();
  return set ? set : null;
}

/** Attempts in so many seconds: from one address, and from all together. Choices: a forgetful player, and no guessing. */
const BY_ADDRESS = { points: 6, duration: 900 };
const BY_ALL = { points: 60, duration: 900 };

const shared = globalThis as { velvetAttempts?: { readonly one: RateLimiterMemory; readonly all: RateLimiterMemory } };

function attempts() {
  return (shared.velvetAttempts ??= { one: new RateLimiterMemory(BY_ADDRESS), all: new RateLimiterMemory(BY_ALL) });
}

export type Knock = "open" | "wrong" | "too-often";

/** Whether what somebody says at the door opens it. Every attempt counts; the right word forgets those of its address. */
export async function knock(said: string, address: string): Promise<Knock> {
  const { one, all } = attempts();
  try {
    await one.consume(address);
    await all.consume("all");
  } catch (error) {
    if (error instanceof RateLimiterRes) return "too-often";
    throw error;
  }
  const wanted = passphrase();
  if (wanted === null || !timingSafeEqual(sum(said), sum(wanted))) return "wrong";
  await one.delete(address);
  return "open";
}

/** Of one length, so that comparing takes the same time whatever was said. */
function sum(text: string): Buffer {
  return createHash("sha256").update(text.normalize("NFC")).digest();
}
