import { wrap, type Remote } from "comlink";

/** A worker as a house sees it. */
export interface WorkerLike {
  onerror: ((event: ErrorEvent) => unknown) | null;
  onmessageerror: ((event: MessageEvent) => unknown) | null;
  terminate(): void;
}

/** What keeps a worker going. */
export interface House<Service> {
  /** The service, whichever worker does it now: what is asked of one that dies is asked again of the next, once. */
  readonly service: AsPromised<Service>;
}

type AsPromised<S> = {
  readonly [K in keyof S]: S[K] extends (...args: infer A) => infer R ? (...args: A) => Promise<Awaited<R>> : never;
};

class WorkerDied extends Error {}

interface Living<Service> {
  readonly remote: Remote<Service>;
  /** Rejects when the worker dies. */
  readonly died: Promise<never>;
}

/** Times that one question is asked of workers that die. */
const MOST_DEATHS = 2;

/**
 * Starts a worker when it is first asked for, and another when it dies.
 * @param start makes a worker and what speaks to it
 * @param begun told of each new worker after the first, before anything is asked of it
 * @param onDeath told when one has died
 */
export function houseOf<Service extends object>(
  start: () => { readonly worker: WorkerLike; readonly remote: Remote<Service> },
  begun: (remote: Remote<Service>) => Promise<unknown>,
  onDeath: () => void,
): House<Service> {
  let living: Living<Service> | null = null;
  let deaths = 0;
  const settle = (): Living<Service> => {
    const { worker, remote } = start();
    const died = new Promise<never>((_, reject) => {
      const die = (): void => {
        if (living?.remote !== remote) return;
        living = null;
        deaths++;
        worker.terminate();
        reject(new WorkerDied("The computing broke off."));
        onDeath();
      };
      worker.onerror = die;
      worker.onmessageerror = die;
    });
    // Nobody may be waiting when it dies.
    died.catch(() => undefined);
    living = { remote, died };
    if (deaths > 0) void begun(remote).catch(() => undefined);
    return living;
  };
  const ask = async (name: string, args: readonly unknown[]): Promise<unknown> => {
    for (let tries = 1; ; tries++) {
      const { remote, died } = living ?? settle();
      try {
        const method = (remote as Record<string, (...args: readonly unknown[]) => Promise<unknown>>)[name]!;
        return await Promise.race([method(...args), died]);
      } catch (error) {
        if (!(error instanceof WorkerDied) || tries >= MOST_DEATHS) throw error;
      }
    }
  };
  const service = new Proxy({} as AsPromised<Service>, {
    get: (_, name) =>
      typeof name === "string" && name !== "then" ? (...args: unknown[]) => ask(name, args) : undefined,
  });
  return { service };
}

/** What start gives for a real worker. */
export function wrapped<Service extends object>(worker: Worker): { worker: WorkerLike; remote: Remote<Service> } {
  return { worker, remote: wrap<Service>(worker) };
}
