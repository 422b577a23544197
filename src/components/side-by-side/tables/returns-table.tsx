"use client";

import { useEffect, useState } from "react";
import { relationByName } from "@/core/figures/relations";
import type { KeepingPrice } from "@/core/figures/keeping-price";
import type { Note, NoteId } from "@/core/passage/note";
import { fingeringWorker } from "@/worker/clients";
import type { OptionJudged } from "../../passage-in-hand/option-cards";
import { PlaceButton } from "../../build/place-button";
import { strainText } from "../../strain";

interface Props {
  readonly chosen: readonly OptionJudged[];
  readonly notes: readonly Note[];
  readonly onGo: (note: NoteId) => void;
}

/** What each fingering does to figures that return: what it costs to keep the figure's fingers there, and to change them. */
export function ReturnsTable({ chosen, notes, onGo }: Props) {
  const prices = useKeepingPrices(chosen);
  if (prices === null) return <p className="text-sm text-soft">Looking at figures that return…</p>;
  const rows = prices[0] ?? [];
  if (rows.length === 0) return <p className="text-sm text-soft">No figure returns here.</p>;
  return (
    <table className="w-full text-sm">
      <caption className="pb-1 text-left font-serif text-lg">
        Figures that return: mean strain with the figure’s fingers kept, and changed
      </caption>
      <thead>
        <tr className="border-b border-ink text-left">
          <th scope="col" className="py-1 font-medium">
            Figure and return
          </th>
          {chosen.map(({ option }) => (
            <th key={option.id} scope="col" className="pl-4 font-serif text-base font-medium italic">
              {option.name}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {rows.map(({ figure, answer }, row) => (
          <tr key={`${figure.notes[0]} ${answer.notes[0]}`} className="border-b border-hairline align-baseline">
            <th scope="row" className="py-1 text-left font-normal">
              <PlaceButton notes={notes} note={figure.notes[0]!} onGo={onGo} /> at{" "}
              <PlaceButton notes={notes} note={answer.notes[0]!} onGo={onGo} />
              <span className="block text-xs text-soft">{relationByName(answer.relation).say(answer.by)}</span>
            </th>
            {prices.map((own, i) => (
              <td key={i} className="py-1 pl-4">
                <Price price={own[row]!} />
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function Price({ price: { keeps, keeping, changing, apart } }: { price: KeepingPrice }) {
  const [kept, changed] = [strainText(keeping), strainText(changing)];
  return (
    <>
      <span className={keeping <= changing + 0.05 ? "font-bold" : ""}>kept {kept}</span>
      {kept !== changed && (
        <>
          , <span className="font-bold">changed {changed}</span>
        </>
      )}
      <span className="block text-xs text-soft">
        {keeps ? "keeps them now" : "changes them now"}
        {apart > 0 && `; the easiest differs on ${apart} ${apart === 1 ? "note" : "notes"}`}
      </span>
    </>
  );
}

/** For each fingering the price at every return; null while they are worked out. */
function useKeepingPrices(chosen: readonly OptionJudged[]): readonly (readonly KeepingPrice[])[] | null {
  const [found, setFound] = useState<{
    readonly of: readonly OptionJudged[];
    readonly prices: readonly (readonly KeepingPrice[])[];
  } | null>(null);
  useEffect(() => {
    let isWanted = true;
    void Promise.all(chosen.map(({ option }) => fingeringWorker().keepingPrices(option.digits))).then((prices) => {
      if (isWanted) setFound({ of: chosen, prices });
    });
    return () => {
      isWanted = false;
    };
  }, [chosen]);
  return found?.of === chosen ? found.prices : null;
}
