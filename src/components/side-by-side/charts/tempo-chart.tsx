"use client";

import { Label, ReferenceLine } from "recharts";
import type { Flip, Sweep } from "@/core/fingering/explain/sweep";
import { TICK } from "../../ui/chart-tick";
import { TempoLines } from "./tempo-lines";

interface Props {
  readonly names: readonly string[];
  readonly sweep: Sweep;
  readonly target: number;
}

/** Strain of each fingering against tempo, with the target and every tempo at which their order changes. */
export function TempoChart({ names, sweep: { tempos, curves, flips }, target }: Props) {
  const lines = curves.map((c) => c.strain);
  const labels = flipLabels(flips, tempos);
  return (
    <div>
      <div role="img" aria-label={`Strain against tempo. ${flipSentence(names, flips, tempos, curves)}`}>
        <TempoLines
          {...{ names, tempos, lines, target }}
          below="♩ a minute"
          most={Math.ceil(Math.max(...lines.flat()) * 1.1)}
        >
          {flips.map(({ tempo }, i) => (
            <ReferenceLine key={tempo} x={tempo} stroke="var(--velvet)" strokeDasharray="3 3">
              <Label value={labels[i]} position="top" style={{ ...TICK, fill: "var(--velvet)" }} />
            </ReferenceLine>
          ))}
        </TempoLines>
      </div>
      <p className="text-sm">{flipSentence(names, flips, tempos, curves)}</p>
    </div>
  );
}

/** Share of the tempi within which two flips are too near for a label each. */
const LABEL_APART = 0.05;

/** What stands over each flip's line: its tempo, or with flips close by all of theirs over the first, "71, 72". */
export function flipLabels(flips: readonly Flip[], tempos: readonly number[]): readonly string[] {
  const near = LABEL_APART * (tempos.at(-1)! - tempos[0]!);
  const labels = flips.map(() => "");
  let first = 0;
  flips.forEach(({ tempo }, i) => {
    if (tempo - flips[first]!.tempo > near) first = i;
    labels[first] += i === first ? `${tempo}` : `, ${tempo}`;
  });
  return labels;
}

/** Which fingering strains least at which tempi: "Below ♩ = 84 B strains least, from there on A." */
export function flipSentence(
  names: readonly string[],
  flips: readonly Flip[],
  tempos: readonly number[],
  curves: Sweep["curves"],
): string {
  if (names.length < 2) return "";
  if (flips.length === 0) {
    const order = names.map((_, i) => i).sort((a, b) => curves[a]!.strain[0]! - curves[b]!.strain[0]!);
    return `${names[order[0]!]} strains least at every tempo from ${tempos[0]} to ${tempos.at(-1)}; the order never changes.`;
  }
  const parts = flips.map(({ tempo, before, after }) => {
    const said = `from ♩ = ${tempo} on ${listed(after, names)}`;
    return before[0] === after[0] ? `${said} (${names[after[0]!]} still least)` : said;
  });
  return `Easiest first: below ♩ = ${flips[0]!.tempo} ${listed(flips[0]!.before, names)}; ${parts.join("; ")}.`;
}

function listed(order: readonly number[], names: readonly string[]): string {
  return order.map((i) => names[i]).join(", ");
}
