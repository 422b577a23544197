import { FINGERS, type Finger } from "@/core/hand/finger";
import type { HandMeasured, PairMeasured } from "@/core/hand/measured";
import { PAIRS, pairName, type PairName } from "@/core/hand/pair";

/** A hand's figures as typed, by name: "rulerSpan", "pairs.1-5.widest", "tipWidths.1", "behind.5". Empty where nothing is said. */
export type Fields = Readonly<Record<string, string>>;

export const FIGURES = ["comfortable", "widest"] as const satisfies readonly (keyof PairMeasured)[];

export function fieldsOf({ rulerSpan, pairs = {}, tipWidths = {}, behind = {}, turnsEase }: HandMeasured): Fields {
  const fields: Record<string, string> = {};
  const put = (name: string, value: number | undefined): void => {
    if (value !== undefined) fields[name] = shown(value);
  };
  put("rulerSpan", rulerSpan);
  put("turnsEase", turnsEase);
  for (const name of PAIRS.map((p) => pairName(...p)))
    for (const figure of FIGURES) put(`pairs.${name}.${figure}`, pairs[name]?.[figure]);
  for (const finger of FINGERS) {
    put(`tipWidths.${finger}`, tipWidths[finger]);
    put(`behind.${finger}`, behind[finger]);
  }
  return fields;
}

/** What the fields say; a figure that is no number becomes NaN, which no hand can be. */
export function measuredOf(fields: Fields): HandMeasured {
  const pairs: Partial<Record<PairName, PairMeasured>> = {};
  for (const name of PAIRS.map((p) => pairName(...p))) {
    const entries = FIGURES.flatMap((figure) => {
      const value = numberIn(fields[`pairs.${name}.${figure}`]);
      return value === undefined ? [] : [[figure, value] as const];
    });
    if (entries.length > 0) pairs[name] = Object.fromEntries(entries);
  }
  const rulerSpan = numberIn(fields["rulerSpan"]);
  const turnsEase = numberIn(fields["turnsEase"]);
  return {
    ...(rulerSpan === undefined ? {} : { rulerSpan }),
    pairs,
    tipWidths: byFinger(fields, "tipWidths"),
    behind: byFinger(fields, "behind"),
    ...(turnsEase === undefined ? {} : { turnsEase }),
  };
}

function byFinger(fields: Fields, group: string): Partial<Record<Finger, number>> {
  return Object.fromEntries(
    FINGERS.flatMap((finger) => {
      const value = numberIn(fields[`${group}.${finger}`]);
      return value === undefined ? [] : [[finger, value]];
    }),
  );
}

/** A comma is as good as a point. */
function numberIn(text: string | undefined): number | undefined {
  const trimmed = text?.trim().replace(",", ".") ?? "";
  return trimmed === "" ? undefined : Number(trimmed);
}

/** mm to a tenth, without needless zeros. */
export function shown(mm: number): string {
  return String(Math.round(mm * 10) / 10);
}
