"use client";

import { useMemo, useState } from "react";
import type { Side } from "@/core/hand/finger";
import type { Hand } from "@/core/hand/hand";
import { handOfMeasured, problemsOf, spansOf, type HandMeasured, type Problem, type Spans } from "@/core/hand/measured";
import type { PairName } from "@/core/hand/pair";
import { fieldsOf, measuredOf, type Fields } from "./fields";

/** A hand's figures while they are being changed. */
export interface HandDraft {
  readonly side: Side;
  readonly fields: Fields;
  readonly measured: HandMeasured;
  readonly problems: readonly Problem[];
  /** The hand they make; the one before where they make none. */
  readonly hand: Hand;
  readonly spans: Readonly<Record<PairName, Spans>>;
  readonly changed: boolean;
  set(name: string, text: string): void;
  reset(): void;
}

/** A measurement that a draft starts from; null for a hand that was never measured. */
export interface MeasuredKept {
  readonly id: string | null;
  readonly measured: HandMeasured;
}

/** Starts from a measurement and follows what is typed and drawn. */
export function useHandDraft(side: Side, { id, measured: kept }: MeasuredKept): HandDraft {
  const start = useMemo(() => fieldsOf(kept), [kept]);
  const [changes, setChanges] = useState<{ from: string | null; fields: Fields | null }>({ from: id, fields: null });
  // A newer measurement makes the draft of an older one void; the same one given anew leaves it as it is.
  const fields = (changes.from === id ? changes.fields : null) ?? start;
  const measured = useMemo(() => measuredOf(fields), [fields]);
  const problems = useMemo(() => problemsOf(measured), [measured]);
  const sound = problems.length === 0 ? measured : kept;
  const hand = useMemo(() => handOfMeasured(side, sound), [side, sound]);
  const spans = useMemo(() => spansOf(sound), [sound]);
  return {
    side,
    fields,
    measured,
    problems,
    hand,
    spans,
    changed: fields !== start,
    set(name, text) {
      const next: Record<string, string> = { ...fields, [name]: text };
      if (text.trim() === "") delete next[name];
      setChanges({ from: id, fields: next });
    },
    reset: () => setChanges({ from: id, fields: null }),
  };
}
