"use client";

import { useSyncExternalStore } from "react";
import { onSending, stateOf, type Keeping } from "./sending";

const KEPT = (): Keeping => "kept";

/** How the changes of a place stand with the server. */
export function useKeeping(place: string): Keeping {
  return useSyncExternalStore(onSending, () => stateOf(place), KEPT);
}

/** Whether anything at all waits for a server that does not answer. */
export function useIsWaiting(): boolean {
  return useSyncExternalStore(
    onSending,
    () => stateOf() === "waiting",
    () => false,
  );
}
