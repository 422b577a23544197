import { TASKS, type Done, type Given, type TaskName } from "@/server/threads/tasks";

/** What happens while a thread is at work, for tests of what comes between. */
export const errands: { meanwhile: ((name: TaskName) => Promise<void>) | null } = { meanwhile: null };

/** What the server's threads do, done here: for tests of what asks them. What goes in and out is copied as it would be. */
export async function inThread<N extends TaskName>(name: N, given: Given<N>): Promise<Done<N>> {
  await Promise.resolve();
  await errands.meanwhile?.(name);
  const done = await (TASKS[name] as (given: Given<N>) => Done<N> | Promise<Done<N>>)(structuredClone(given));
  return structuredClone(done);
}

export class TooMuch extends Error {}

export async function closeThreads(): Promise<void> {
  await Promise.resolve();
}
