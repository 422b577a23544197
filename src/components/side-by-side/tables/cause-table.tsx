import type { Judged } from "@/core/fingering/study/study";
import type { OptionJudged } from "../../passage-in-hand/option-cards";
import { strainText } from "../../strain";

/** Where the strain of two options comes from: each cause as its share of the mean, the lower one marked. */
export function CauseTable({ pair }: { pair: readonly OptionJudged[] }) {
  const sums = pair.map(({ judged }) => sumsOf(judged));
  const labels = [...new Set(sums.flatMap((s) => [...s.keys()]))].sort(
    (a, b) => Math.max(...sums.map((s) => s.get(b) ?? 0)) - Math.max(...sums.map((s) => s.get(a) ?? 0)),
  );
  return (
    <table className="mt-3 w-full max-w-2xl text-sm">
      <caption className="pb-1 text-left font-serif text-lg">Where the strain comes from, an onset on average</caption>
      <thead>
        <tr className="border-b border-ink text-left">
          <th scope="col" className="py-1 font-medium">
            Cause
          </th>
          {pair.map(({ option }) => (
            <th key={option.id} scope="col" className="w-24 text-right font-serif text-base font-medium italic">
              {option.name}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {labels.map((label) => (
          <Row key={label} label={label} values={sums.map((s) => s.get(label) ?? 0)} />
        ))}
      </tbody>
      <tfoot>
        <Row label="Together" values={pair.map(({ judged }) => judged.strain)} />
        <Row label="Peak, at one note" values={pair.map(({ judged }) => judged.peak?.strain ?? 0)} />
      </tfoot>
    </table>
  );
}

function Row({ label, values }: { label: string; values: readonly number[] }) {
  const shown = values.map((v) => Math.round(v * 10));
  const least = Math.min(...shown);
  const differ = shown.some((v) => v !== least);
  return (
    <tr className="border-b border-hairline">
      <th scope="row" className="py-1 text-left font-normal">
        {label}
      </th>
      {values.map((value, i) => (
        <td key={i} className={`text-right ${differ && shown[i] === least ? "font-bold" : ""}`}>
          {differ && shown[i] === least && <span className="mr-1 text-xs font-normal text-soft">less</span>}
          {strainText(value)}
        </td>
      ))}
    </tr>
  );
}

/** Strain of each cause, spread over the notes. */
function sumsOf({ notes }: Judged): ReadonlyMap<string, number> {
  const all = Object.values(notes);
  const sums = new Map<string, number>();
  for (const note of all)
    for (const { label, strain } of note.causes) sums.set(label, (sums.get(label) ?? 0) + strain / all.length);
  return sums;
}
