"use client";

import { useState } from "react";
import type { Allowances } from "@/core/reach/allowances";
import { allow } from "@/server/actions";
import { ask } from "../keeping/ask";
import { newId } from "../new-id";

const SAID: Readonly<Record<keyof Allowances, string>> = {
  rolls: "Chords may be rolled",
  omissions: "Doubled and inner notes may be left out or moved by an octave",
  pedal: "The pedal may sound on what a hand lets go",
  tuneAndBass: "Even tune and bass may be left out or moved",
};

/** What the player allows where a hand cannot hold what is written; kept at once. */
export function Allowed({ playerId, allows }: { playerId: string; allows: Allowances }) {
  const [shown, setShown] = useState(allows);
  const set = async (key: keyof Allowances, value: boolean): Promise<void> => {
    setShown((before) => ({ ...before, [key]: value }));
    const asked = { id: newId(), playerId, [key]: value };
    const kept = await ask("allowances", () => allow(asked));
    setShown((before) => kept ?? { ...before, [key]: !value });
  };
  return (
    <fieldset>
      <legend className="font-serif text-xl">Where a hand cannot reach</legend>
      {(Object.keys(SAID) as (keyof Allowances)[]).map((key) => (
        <label key={key} className="flex min-h-11 items-center gap-3 text-sm">
          <input
            type="checkbox"
            className="size-5 accent-velvet"
            checked={shown[key]}
            onChange={(event) => void set(key, event.target.checked)}
          />
          {SAID[key]}
        </label>
      ))}
    </fieldset>
  );
}
