import { proxy, type ProxyMarked } from "comlink";

/** A way for a worker to tell how far it has come. */
export interface Telling<T> {
  readonly tell: ((progress: T) => void) & ProxyMarked;
  /** Nothing more is heard: progress comes on a way of its own, and may come after the answer. */
  end(): void;
}

export function telling<T>(hear: (progress: T) => void): Telling<T> {
  let isOpen = true;
  return {
    tell: proxy((progress: T) => {
      if (isOpen) hear(progress);
    }),
    end() {
      isOpen = false;
    },
  };
}
