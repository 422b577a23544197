"use client";

import { useLayoutEffect, useState } from "react";

/** Width of an element in whole px, followed as it changes. */
export function useWidth(frame: React.RefObject<HTMLElement | null>): number {
  const [width, setWidth] = useState(0);
  useLayoutEffect(() => {
    if (!frame.current) return;
    // Right after the first drawing, so that what needs it begins with it; then whenever it changes.
    const { clientWidth } = frame.current;
    queueMicrotask(() => setWidth(clientWidth));
    const observer = new ResizeObserver(([entry]) => setWidth(Math.floor(entry!.contentRect.width)));
    observer.observe(frame.current);
    return () => observer.disconnect();
  }, [frame]);
  return width;
}
