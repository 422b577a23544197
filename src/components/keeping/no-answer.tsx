"use client";

import { useIsWaiting } from "./use-keeping";

/** Says on every page that something waits for a server that does not answer. */
export function NoAnswer() {
  if (!useIsWaiting()) return null;
  return (
    <p
      role="status"
      className="fixed inset-x-0 bottom-0 z-50 border-t border-vermilion bg-paper px-6 py-2 text-sm text-vermilion print:hidden"
    >
      The server does not answer. What you did waits here and is sent again.
    </p>
  );
}
