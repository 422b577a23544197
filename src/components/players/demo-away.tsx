"use client";

import { bringBack } from "../belongings/belonging-changes";
import { Button } from "../ui/button";

/** Says that the demo's player was taken away, with the way back. @param id of the player */
export function DemoAway({ id }: { id: string }) {
  return (
    <p className="mt-4 flex flex-wrap items-center gap-3 text-sm text-soft">
      The demo’s player was taken away.
      <Button onClick={() => void bringBack({ kind: "player", id })}>Bring the demo back</Button>
    </p>
  );
}
