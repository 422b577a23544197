/** How the page stands with the server. */
export type Keeping = "kept" | "keeping" | "waiting";

/** How the page stands with the server where several things are kept, each on its own: as the one that is worst off. */
export function worstOf(all: readonly Keeping[]): Keeping {
  return all.find((one) => one === "waiting") ?? all.find((one) => one === "keeping") ?? "kept";
}

export interface Outbox {
  /** Adds a change; changes are sent one after another, each again until the server has answered. */
  send(change: () => Promise<void>): void;
  /** Resolves when everything sent before has been answered. */
  settled(): Promise<void>;
}

/** ms to wait before trying again, longer each time up to the last. */
const WAITS = [400, 800, 1600, 3000];

/**
 * A queue of changes on their way to the server.
 * @param onState told whether all is kept, something is under way, or the server does not answer
 * @param wait lets time pass, in ms
 */
export function outbox(onState: (state: Keeping) => void, wait: (ms: number) => Promise<void>): Outbox {
  let last = Promise.resolve();
  let open = 0;
  async function deliver(change: () => Promise<void>): Promise<void> {
    for (let attempt = 0; ; attempt++) {
      try {
        return await change();
      } catch {
        onState("waiting");
        await wait(WAITS[Math.min(attempt, WAITS.length - 1)]!);
      }
    }
  }
  return {
    send(change) {
      open++;
      onState("keeping");
      last = last.then(() => deliver(change)).then(() => onState(--open === 0 ? "kept" : "keeping"));
    },
    settled: () => last,
  };
}
