"use client";

import { parseAsArrayOf, parseAsString, useQueryState } from "nuqs";
import { useMemo } from "react";
import type { OptionJudged } from "../passage-in-hand/option-cards";

/** Fingerings that can be held against one another at once. */
const MOST_CHOSEN = 4;

/** The fingerings held against one another, by their letters in the address: two to four, the first two where not said. */
export function useChosen(all: readonly OptionJudged[]): {
  readonly chosen: readonly OptionJudged[];
  toggle(name: string): void;
} {
  const [named, setNamed] = useQueryState("options", parseAsArrayOf(parseAsString));
  const chosen = useMemo(() => {
    const found = all.filter((o) => named?.includes(o.option.name)).slice(0, MOST_CHOSEN);
    return found.length >= 2 ? found : all.slice(0, 2);
  }, [all, named]);
  return {
    chosen,
    toggle(name) {
      const names = chosen.map((o) => o.option.name);
      const after = names.includes(name) ? names.filter((n) => n !== name) : [...names, name];
      if (after.length >= 2 && after.length <= MOST_CHOSEN) void setNamed(after);
    },
  };
}
