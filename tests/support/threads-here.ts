import { TASKS, type Done, type Given, type TaskName } from "@/server/threads/tasks";

/** What the server's threads do, done here: for tests of what asks them. What goes in and out is copied as it would be. */
export async function inThread<N extends TaskName>(name: N, given: Given<N>): Promise<Done<N>> {
  await Promise.resolve();
  const done = (TASKS[name] as (given: Given<N>) => Done<N>)(structuredClone(given));
  return structuredClone(done);
}

export class TooMuch extends Error {}

export async function closeThreads(): Promise<void> {
  await Promise.resolve();
}
