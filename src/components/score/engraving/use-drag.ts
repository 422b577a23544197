import { useRef } from "react";
import type { NoteId } from "@/core/passage/note";
import type { Drawn } from "../drawn";
import type { LinePlaces } from "./places";

/** px that a pointer moves before it draws over the score. */
const DRAWN_FROM = 10;

interface Dragging {
  readonly from: NoteId;
  readonly x: number;
  isDrawn: boolean;
}

/** Drawing over a line of music with a mouse or a pen chooses the notes from where it began; a finger scrolls the page. */
export function useDrag(places: LinePlaces | null, onSelect: Drawn["onSelect"]) {
  const dragging = useRef<Dragging | null>(null);
  const noteAt = (event: React.PointerEvent): NoteId | null => {
    const left = event.currentTarget.getBoundingClientRect().left;
    return places && nearest(places, event.clientX - left);
  };
  return {
    /** Whether what has just ended was drawn, and no click. */
    wasDrawn(): boolean {
      const drawn = dragging.current?.isDrawn ?? false;
      dragging.current = null;
      return drawn;
    },
    handlers: {
      onPointerDown(event: React.PointerEvent) {
        const from = event.pointerType === "touch" || event.button !== 0 || event.shiftKey ? null : noteAt(event);
        dragging.current = from === null ? null : { from, x: event.clientX, isDrawn: false };
      },
      onPointerMove(event: React.PointerEvent) {
        const now = dragging.current;
        if (!now || event.buttons === 0) return;
        if (!now.isDrawn && Math.abs(event.clientX - now.x) < DRAWN_FROM) return;
        if (!now.isDrawn) onSelect(now.from);
        now.isDrawn = true;
        const to = noteAt(event);
        if (to) onSelect(to, { extends: true, from: now.from, touchedAt: null });
      },
    },
  };
}

function nearest({ notes }: LinePlaces, x: number): NoteId | null {
  let best: NoteId | null = null;
  let least = Infinity;
  for (const [id, place] of notes) {
    const far = Math.abs(place.x - x);
    if (far < least) [best, least] = [id, far];
  }
  return best;
}
