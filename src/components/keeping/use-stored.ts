"use client";

import { useCallback, useMemo, useSyncExternalStore } from "react";

const listeners = new Set<() => void>();

function subscribe(listener: () => void): () => void {
  listeners.add(listener);
  window.addEventListener("storage", listener);
  return () => {
    listeners.delete(listener);
    window.removeEventListener("storage", listener);
  };
}

/** A small setting kept in this browser: what is not kept, or cannot be read, is as it usually is. */
export function useStored<T extends object>(name: string, usual: T): readonly [T, (value: T) => void] {
  const key = `velvet-thumb ${name}`;
  const text = useSyncExternalStore(
    subscribe,
    () => localStorage.getItem(key),
    () => null,
  );
  const value = useMemo(() => read(text, usual), [text, usual]);
  const set = useCallback(
    (next: T) => {
      localStorage.setItem(key, JSON.stringify(next));
      for (const listener of listeners) listener();
    },
    [key],
  );
  return [value, set];
}

function read<T extends object>(text: string | null, usual: T): T {
  try {
    return text === null ? usual : { ...usual, ...(JSON.parse(text) as Partial<T>) };
  } catch {
    return usual;
  }
}
