import { join } from "node:path";
import { Piscina } from "piscina";
import type { Done, Errand, Given, TaskName } from "./tasks";

/** Where the threads' code lies, seen from the project's folder, in which every command runs. */
const CODE = join(/* turbopackIgnore: true */ process.cwd(), "node_modules/.cache/velvet-thumb/threads.cjs");

/** MB that a thread may take. A choice: several times what the largest score within the limits takes. */
const MOST_MB = 700;
/** ms that an errand may take. A choice: a hundred times what most take. */
const MOST_MS = 60_000;
/** ms that reading a file may take that has just come. A choice: four times what the largest within the limits takes. */
const MOST_MS_READING = 10_000;
/** ms after which a thread with nothing to do ends. */
const IDLE_MS = 120_000;

/** Kept files are read in a thread of their own, which remembers the last; what else takes long does not hold them up. */
const KEPT: ReadonlySet<TaskName> = new Set([
  ...(["pieceMusic", "passageMusic", "wholeMusic"] as const),
  ...(["exportedFile", "passageFile", "passageMidi", "takeFile"] as const),
]);
/** Drawing has a thread of its own, which stays: an engraver takes seconds to start. */
const ENGRAVING: ReadonlySet<TaskName> = new Set(["engraved", "engraverWarm"]);
const OF_FILES: ReadonlySet<TaskName> = new Set(["readFile", "editionNotes"]);

const shared = globalThis as { velvetThreads?: Readonly<Record<"kept" | "engraving" | "others", Piscina>> };

function threads() {
  const pool = (maxThreads: number, idleTimeout = IDLE_MS): Piscina =>
    new Piscina({
      filename: CODE,
      minThreads: 0,
      maxThreads,
      idleTimeout,
      resourceLimits: { maxOldGenerationSizeMb: MOST_MB },
    });
  return (shared.velvetThreads ??= { kept: pool(1), engraving: pool(1, Infinity), others: pool(2) });
}

/** An errand took more time or memory than it may. */
export class TooMuch extends Error {}

/**
 * Does something that takes long in a thread, so that the server goes on answering.
 * @throws TooMuch where it takes more time or memory than anything of the kind
 */
export async function inThread<N extends TaskName>(name: N, given: Given<N>): Promise<Done<N>> {
  const errand: Errand = { name, given };
  const signal = AbortSignal.timeout(OF_FILES.has(name) ? MOST_MS_READING : MOST_MS);
  try {
    return (await threadFor(name).run(errand, { signal })) as Done<N>;
  } catch (error) {
    if (isTooMuch(error)) throw new TooMuch(`${name} took too much.`, { cause: error });
    throw error;
  }
}

function threadFor(name: TaskName): Piscina {
  const { kept, engraving, others } = threads();
  if (ENGRAVING.has(name)) return engraving;
  return KEPT.has(name) ? kept : others;
}

function isTooMuch(error: unknown): boolean {
  const { name, code } = error as { readonly name?: string; readonly code?: string };
  return name === "AbortError" || name === "TimeoutError" || code === "ERR_WORKER_OUT_OF_MEMORY";
}

/** Ends the threads, as at the end of a command. */
export async function closeThreads(): Promise<void> {
  const { velvetThreads } = shared;
  delete shared.velvetThreads;
  if (velvetThreads) await Promise.all(Object.values(velvetThreads).map((pool) => pool.destroy()));
}
