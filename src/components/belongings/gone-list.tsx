"use client";

import { format, parseISO } from "date-fns";
import type { GoneData } from "@/server/types";
import { Button } from "../ui/button";
import { bringBack } from "./belonging-changes";

/** What was taken away, newest first, each with the way back. */
export function GoneList({ gone }: { gone: readonly GoneData[] }) {
  if (gone.length === 0) return <p className="mt-4">Nothing is away.</p>;
  return (
    <ul className="mt-2">
      {gone.map((one) => (
        <li key={`${one.kind} ${one.id}`} className="flex items-center gap-4 border-b border-hairline py-1.5">
          <span className="w-28 text-sm text-soft">{one.noun}</span>
          <span className="flex-1">
            <span className="font-serif text-lg">{one.title}</span>
            {one.of && <span className="ml-2 text-sm text-soft">{one.of}</span>}
          </span>
          <span className="text-sm text-soft">{format(parseISO(one.at), "d MMMM yyyy")}</span>
          <Button aria-label={`Bring back ${one.noun} ${one.title}`} onClick={() => void bringBack(one)}>
            Bring back
          </Button>
        </li>
      ))}
    </ul>
  );
}
