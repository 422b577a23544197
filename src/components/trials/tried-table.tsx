import { breakingOf, sayBreaking } from "@/core/trials/breaking";
import { progressOf, sayProgress } from "@/core/trials/progress";
import { breakingByPart, type Part } from "@/core/trials/breaking-parts";
import { meanOf, medianOf } from "@/core/trials/statistics";
import type { OptionData, TakeData } from "@/server/types";
import { triedOn } from "./tried-on";

interface Props {
  readonly takes: readonly TakeData[];
  readonly options: readonly Pick<OptionData, "id" | "name">[];
  /** Hands and figures, each of which may break by itself. */
  readonly parts: readonly Part[];
}

/** Steps of tempo by which takes are counted together, quarter notes a minute. */
const STEP = 10;

/**
 * What was tried, option by option: clean of all at each tempo, and the tempo at which it breaks. What the simulated piano
 * played stands by itself and is said to be that.
 */
export function TriedTable({ takes, options, parts }: Props) {
  const rows = options.flatMap(({ id, name }) =>
    [false, true].flatMap((isSimulated) => {
      const own = takes.filter(
        (t) => t.fingeringId === id && t.snip === null && (t.source === "simulated piano") === isSimulated,
      );
      return own.length === 0 ? [] : [{ name, isSimulated, own }];
    }),
  );
  if (rows.length === 0) return null;
  return (
    <section aria-label="What was tried">
      <h2 className="font-serif text-lg">Clean of all</h2>
      {rows.map(({ name, isSimulated, own }) => (
        <div key={`${name} ${isSimulated}`} className="border-b border-hairline py-1.5 text-sm">
          <p className="flex justify-between">
            <span>
              <span className="font-serif italic">{name}</span>
              {isSimulated && <span className="text-soft"> by the simulated piano</span>}
            </span>
            <span className="tabular-nums">{cleanOf(own)}</span>
          </p>
          <p className="text-soft">{byTempo(own).join("; ")}</p>
          <p>{sayBreaking(breakingOf(own.map(triedOn)))}</p>
          <ByPart parts={parts} takes={own} />
          {feltIn(own) !== null && <p className="text-soft">Tension felt: {feltIn(own)!.toFixed(1)} of 10.</p>}
          {!isSimulated && <p>{sayProgress(progressOf(own.map(triedOn)))}</p>}
        </div>
      ))}
    </section>
  );
}

/** What breaks by itself, where that is known. */
function ByPart({ parts, takes }: { readonly parts: readonly Part[]; readonly takes: readonly TakeData[] }) {
  const tried = takes.map(({ tempo, tempoReached, astray }) => ({ tempo: tempoReached ?? tempo, astray }));
  const found = breakingByPart(parts, tried).filter(({ breaking }) => breaking.kind === "found");
  if (found.length === 0) return null;
  return (
    <details>
      <summary className="cursor-pointer text-soft">By hand and figure</summary>
      <ul>
        {found.map(({ name, breaking }) => (
          <li key={name}>
            {name[0]!.toUpperCase() + name.slice(1)}: {sayBreaking(breaking)}
          </li>
        ))}
      </ul>
    </details>
  );
}

/** Mean tension felt, 0 to 10; null where nothing was said. */
function feltIn(takes: readonly TakeData[]): number | null {
  const said = takes.flatMap(({ felt }) => felt?.amount ?? []);
  return said.length === 0 ? null : meanOf(said);
}

function cleanOf(takes: readonly TakeData[]): string {
  return `${takes.filter(({ clean }) => clean).length} of ${takes.length}`;
}

/** "3 of 4 about ♩ = 70", slowest first. */
function byTempo(takes: readonly TakeData[]): readonly string[] {
  const steps = new Map<number, TakeData[]>();
  for (const take of takes) {
    const step = Math.round(take.tempo / STEP);
    steps.set(step, [...(steps.get(step) ?? []), take]);
  }
  if (steps.size < 2) return [];
  return [...steps]
    .sort(([a], [b]) => a - b)
    .map(([, own]) => `${cleanOf(own)} about ${Math.round(medianOf(own.map(({ tempo }) => tempo)))}`);
}
