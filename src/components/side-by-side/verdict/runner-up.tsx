"use client";

import { useMemo } from "react";
import { judge, type Study } from "@/core/fingering/study/study";
import type { Day } from "@/core/time/days";
import { learningPrice } from "@/core/verdict/learning-price";
import type { PassageData } from "@/server/types";
import { priceText } from "../tables/learning-table";

interface Props {
  readonly data: PassageData;
  readonly study: Study;
  /** The option that is taken, and the one in the fingers. */
  readonly taken: string;
  readonly known: string | null;
}

/** What stands ready where the option taken does not improve: the one that strains least of the others, and what it costs to learn. */
export function RunnerUp({ data, study, taken, known }: Props) {
  const found = useMemo(() => {
    const others = data.options.filter(({ id }) => id !== taken);
    const judged = others.map((option) => ({ option, strain: judge(study, option.digits).strain }));
    const [best] = judged.sort((a, b) => a.strain - b.strain);
    if (!best) return null;
    const now = data.options.find(({ id }) => id === (known ?? taken))?.digits ?? null;
    const concert = (data.recital?.heldOn ?? null) as Day | null;
    return { name: best.option.name, price: learningPrice(study, now, best.option.digits, data.today, concert) };
  }, [data, study, taken, known]);
  return (
    <p role="status" className="mt-2 border border-hairline p-2 text-sm">
      Two weeks of takes without improvement: change the fingering.{" "}
      {found ? (
        <>
          Ready in its place: <span className="font-serif text-base italic">{found.name}</span>,{" "}
          {priceText(found.price)}.
        </>
      ) : (
        "There is no other option yet; look for one on the Bench."
      )}
    </p>
  );
}
