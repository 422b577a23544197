"use client";

import { useEffect, useRef, type RefObject } from "react";

/**
 * Scrolls so far that the lanes under the first line of music stand over what covers the foot of the page, whenever
 * something new is drawn in them. The player's own scrolling is left alone otherwise.
 * @param drawn changes when it should; null while there is nothing to see
 * @returns for what covers the foot
 */
export function useLanesInSight(drawn: string | null): RefObject<HTMLDivElement | null> {
  const cover = useRef<HTMLDivElement>(null);
  useEffect(() => {
    if (drawn === null) return;
    // The lanes come with the next drawing, and what covers them grows in the same.
    let frame = requestAnimationFrame(() => {
      frame = requestAnimationFrame(() => {
        const top = cover.current?.getBoundingClientRect().top;
        const lanes = [...document.querySelectorAll("[data-lane]")].map((lane) => lane.getBoundingClientRect());
        const first = lanes[0];
        if (top === undefined || !first) return;
        const inLine = lanes.filter((lane) => lane.top < first.top + IN_ONE_LINE);
        const below = Math.max(...inLine.map(({ bottom }) => bottom)) - top;
        if (below > 0) window.scrollBy({ top: Math.min(below, Math.max(0, first.top - LEFT_OVER)) });
      });
    });
    return () => cancelAnimationFrame(frame);
  }, [drawn]);
  return cover;
}

/** px within which lanes lie under one line of music. */
const IN_ONE_LINE = 280;
/** px of the music over its lanes that stay in sight. */
const LEFT_OVER = 330;
