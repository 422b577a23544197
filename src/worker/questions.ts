/** The answer of a search: found, or stopped because a newer one was asked for. */
export type Searched<T> = { readonly stopped: false; readonly found: T } | { readonly stopped: true };

/** How long questions of a page take their turns with one another. */
export interface Questions {
  /** Answered after everything asked in order before it; stopped only where the page turns to something else. */
  inOrder<T>(begin: () => Generator<unknown, T>): Promise<Searched<T>>;
  /** Runs beside what else is asked for; a newer question of the same kind stops it, and turning to something else. */
  latest<Step, T>(kind: string, steps: Generator<Step, T>, onProgress?: (step: Step) => void): Promise<Searched<T>>;
  /** Runs beside what else is asked for, and stops nothing. */
  aside<T>(steps: Generator<unknown, T>): Promise<T>;
  /** What runs of a kind is wanted no more. */
  drop(kind: string): void;
}

/** ms a search runs before it looks whether it is still wanted. */
const STRETCH = 8;

/**
 * @param breathe lets waiting messages in: a macrotask in the worker
 * @param clock ms, for measuring a stretch
 * @param onWhat what the page has turned to; on anything else nothing is wanted any more
 */
export function questions(breathe: () => Promise<void>, clock: () => number, onWhat: () => unknown): Questions {
  const tickets = new Map<string, number>();
  const takeTicket = (kind: string): number => {
    const ticket = (tickets.get(kind) ?? 0) + 1;
    tickets.set(kind, ticket);
    return ticket;
  };
  /** Ends when everything asked in order up to now is answered. */
  let last: Promise<unknown> = Promise.resolve();
  /** Runs to its end unless it is no longer wanted, letting waiting questions in on the way. */
  async function run<Step, T>(
    steps: Generator<Step, T>,
    isWanted: () => boolean,
    onProgress: (step: Step) => void = () => undefined,
  ): Promise<Searched<T>> {
    let since = clock();
    for (;;) {
      if (!isWanted()) return { stopped: true };
      const step = steps.next();
      if (step.done) return { stopped: false, found: step.value };
      if (clock() - since < STRETCH) continue;
      onProgress(step.value);
      await breathe();
      since = clock();
    }
  }
  return {
    inOrder(begin) {
      const on = onWhat();
      const isWanted = (): boolean => onWhat() === on;
      const answer = last.then(() => (isWanted() ? run(begin(), isWanted) : ({ stopped: true } as const)));
      last = answer.catch(() => undefined);
      return answer;
    },
    async latest(kind, steps, onProgress) {
      const [on, ticket] = [onWhat(), takeTicket(kind)];
      // What was asked meanwhile is let in first, so that of many questions at once only the last is worked out.
      await breathe();
      return run(steps, () => onWhat() === on && tickets.get(kind) === ticket, onProgress);
    },
    async aside(steps) {
      const answer = await run(steps, () => true);
      if (answer.stopped) throw new Error("What is always wanted is not stopped.");
      return answer.found;
    },
    drop: (kind) => void takeTicket(kind),
  };
}
