"use client";

import { useEffect, useState } from "react";

/** Width of an element in whole px, followed as it changes. */
export function useWidth(frame: React.RefObject<HTMLElement | null>): number {
  const [width, setWidth] = useState(0);
  useEffect(() => {
    if (!frame.current) return;
    const observer = new ResizeObserver(([entry]) => setWidth(Math.floor(entry!.contentRect.width)));
    observer.observe(frame.current);
    return () => observer.disconnect();
  }, [frame]);
  return width;
}
