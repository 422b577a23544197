import { QueryClient } from "@tanstack/react-query";
import { unstable_isUnrecognizedActionError as isUnrecognizedActionError } from "next/navigation";
import type { Answer } from "@/server/types";

/**
 * How the page stands with the server: all is kept; something is on its way; the server does not answer, and it is tried
 * again; or what was sent last was refused, and the page is back at what is kept.
 */
export type Keeping = "kept" | "keeping" | "waiting" | "refused";

const ORDER: readonly Keeping[] = ["waiting", "refused", "keeping", "kept"];

/** How the page stands where several things are kept, each on its own: as the one that is worst off. */
export function worstOf(all: readonly Keeping[]): Keeping {
  return ORDER.find((state) => all.includes(state)) ?? "kept";
}

/** An answer, or the word that the application was renewed: what was sent stays in this browser until it is loaded again. */
export type Sent<T> = Answer<T> & { readonly renewed?: true };

/** Everything that is sent, whoever sends it; it goes on when the place that sent it is left. */
export const CHANGES = new QueryClient();

/** ms to wait before trying again, longer each time up to the last. */
const WAITS = [400, 800, 1600, 3000];

/** The server could not be reached, or could not reach its database: nothing was said of the change itself. */
class NoAnswer extends Error {}

/**
 * Sends a change. Those of one place go one after another in the order in which they were sent; each is tried again as
 * long as there is no connection, and only then. Whatever else happens is an answer: it never rejects, and what comes
 * behind it goes on.
 * @param place under which changes wait for one another
 * @param call asked again where the connection failed: what it asks of the server must carry an id
 */
export function send<T>(place: string, call: () => Promise<Answer<T>>): Promise<Sent<T>> {
  const cache = CHANGES.getMutationCache();
  const mutation = cache.build(CHANGES, {
    mutationKey: [place],
    scope: { id: place },
    networkMode: "always",
    mutationFn: () => answerOf(call),
    retry: (_, error: Error) => error instanceof NoAnswer,
    retryDelay: (tries: number) => WAITS[Math.min(tries, WAITS.length - 1)]!,
  });
  return mutation.execute(undefined) as Promise<Sent<T>>;
}

/** How the changes of a place stand, or of all places. */
export function stateOf(place?: string): Keeping {
  const all = CHANGES.getMutationCache().findAll(place === undefined ? {} : { mutationKey: [place], exact: true });
  const open = all.filter(({ state }) => state.status === "pending");
  if (open.some(({ state }) => state.failureCount > 0)) return "waiting";
  if (open.length > 0) return "keeping";
  const last = all.at(-1)?.state.data as Sent<unknown> | undefined;
  return last && !last.ok ? "refused" : "kept";
}

/** Told whenever something is sent or answered. @returns ends it */
export function onSending(listener: () => void): () => void {
  return CHANGES.getMutationCache().subscribe(listener);
}

/** Resolves when everything that a place has sent up to now is answered. */
export async function settled(place: string): Promise<void> {
  await new Promise<void>((resolve) => {
    const look = (): void => {
      const isOpen = CHANGES.getMutationCache()
        .findAll({ mutationKey: [place], exact: true })
        .some(({ state }) => state.status === "pending");
      if (isOpen) return;
      stop();
      resolve();
    };
    const stop = onSending(look);
    look();
  });
}

async function answerOf<T>(call: () => Promise<Answer<T>>): Promise<Sent<T>> {
  let answer: Answer<T>;
  try {
    answer = await call();
  } catch (error) {
    if (isNoConnection(error)) throw new NoAnswer();
    if (isUnrecognizedActionError(error)) return { ok: false, message: RENEWED, renewed: true };
    return { ok: false, message: `It was not kept: ${error instanceof Error ? error.message : String(error)}` };
  }
  if (!answer.ok && answer.later) throw new NoAnswer();
  return answer;
}

const RENEWED =
  "The application was renewed meanwhile. Load the page again: what you did is kept in this browser and sent then.";

/** What a browser says where a request does not come through, or its answer breaks off. */
function isNoConnection(error: unknown): boolean {
  if (error instanceof TypeError) return true;
  return error instanceof Error && /connection closed|network|aborted|failed to fetch/i.test(error.message);
}
