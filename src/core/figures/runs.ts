import { FIGURE } from "../physics";
import type { Melody, MelodyOnset } from "./melody";
import type { Relation } from "./relations/relation";

/** Onsets of one melody that answer onsets of another all through by one relation. */
export interface Run {
  readonly from: number;
  readonly to: number;
  readonly length: number;
  readonly by: number;
  /** Onsets, counted from the start, that depart from the relation while all about them keep to it. */
  readonly changed: readonly number[];
}

/** The runs in which answer[i + offset] answers figure[i], in order. */
export function runsAlong(figure: Melody, answer: Melody, offset: number, relation: Relation): readonly Run[] {
  const runs: Run[] = [];
  const end = Math.min(figure.moments.length, answer.moments.length - offset);
  let at = Math.max(0, -offset);
  while (at < end) {
    const run = runFrom(figure, answer, at, offset, end, relation);
    if (run === null) at++;
    else {
      runs.push(run);
      at += run.length;
    }
  }
  return runs;
}

function runFrom(
  { moments: figure }: Melody,
  { moments: answer }: Melody,
  from: number,
  offset: number,
  end: number,
  relation: Relation,
): Run | null {
  const by = relation.shift(figure[from]!, answer[from + offset]!);
  if (by === null) return null;
  const keeps = (i: number): boolean =>
    i < end && sameTime(figure[i]!, answer[i + offset]!) && relation.shift(figure[i]!, answer[i + offset]!) === by;
  const changed: number[] = [];
  let at = from + 1;
  for (;;) {
    if (keeps(at)) at++;
    else if (mayChange(at) && keeps(at + 1)) {
      changed.push(at - from);
      at += 2;
    } else break;
  }
  return { from, to: from + offset, length: at - from, by, changed };

  function mayChange(i: number): boolean {
    if (i >= end || (changed.length + 1) * FIGURE.onsetsAChange > i - from + 2) return false;
    const [one, other] = [figure[i]!, answer[i + offset]!];
    return sameTime(one, other) && one.keys.length === other.keys.length;
  }
}

function sameTime(a: MelodyOnset, b: MelodyOnset): boolean {
  return a.gap === b.gap;
}
