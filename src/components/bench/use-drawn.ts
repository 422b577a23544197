"use client";

import { parseAsString, useQueryState } from "nuqs";
import { useCallback, useMemo } from "react";
import type { Figure } from "@/core/figures/figure";
import { isTied } from "@/core/figures/ties";
import { notesInDoubt } from "@/core/fingering/explain/in-doubt";
import { positionsOf } from "@/core/fingering/explain/positions";
import type { FingeringWishes } from "@/core/options/asked/wishes";
import type { Side } from "@/core/hand/finger";
import type { Suggested } from "@/core/reach/suggested";
import type { NoteId } from "@/core/passage/note";
import type { OptionData } from "@/server/types";
import type { DigitLayer } from "../score/marks/digits";
import { figureMarks, type FigureMark } from "../score/marks/figure-marks";
import type { Drawn } from "../score/drawn";
import type { OptionJudged } from "../passage-in-hand/option-cards";
import { useSideOf } from "../passage-in-hand/use-side-of";
import { useLanes, type PassageView } from "../passage-in-hand/use-view";
import type { ViewSettings } from "../passage-in-hand/view-settings";

const NONE: ReadonlySet<NoteId> = new Set();

/**
 * What is drawn about the notes for one option: its digits as the player wants to see them, its positions, the strain of
 * all options, and the figures that return.
 * @param all at the tempo in hand
 * @param option the one shown, as it stands after the newest gesture
 */
export function useDrawn(
  view: PassageView,
  all: readonly OptionJudged[],
  shown: OptionJudged | undefined,
  option: OptionData | undefined,
  wishes: FingeringWishes,
  figures: readonly Figure[] | null,
  suggested: Suggested,
  { digits, hands }: Pick<ViewSettings, "digits" | "hands">,
): Omit<Drawn, "stretch" | "selected" | "onSelect"> {
  const { study, steps, notes } = view;
  const sideOf = useSideOf(study.passage);
  const isSeen = useCallback((id: NoteId) => hands === "both" || sideOf(id) === hands, [hands, sideOf]);
  const layers = useMemo((): readonly DigitLayer[] => {
    if (!option) return [];
    const doubtful = digits === "doubt" ? notesInDoubt(study, option.digits, option.pins) : null;
    const isWritten = (id: NoteId): boolean => isSeen(id) && doubtful?.has(id) !== false;
    const whole = digits === "all" && hands === "both";
    return [
      {
        name: option.name,
        fingering: option.digits,
        pins: option.pins,
        marked: NONE,
        printed: new Set(notes.flatMap((n) => (n.printed !== null && n.printed === option.digits[n.id] ? [n.id] : []))),
        suggested: suggested.fingers,
        changed: new Set(notes.flatMap((n) => (option.first[n.id] !== option.digits[n.id] ? [n.id] : []))),
        ...(whole ? {} : { written: new Set(notes.flatMap((n) => (isWritten(n.id) ? [n.id] : []))) }),
      },
    ];
  }, [study, option, suggested, notes, digits, hands, isSeen]);
  const seenSteps = useMemo(
    () =>
      hands === "both"
        ? steps
        : steps.flatMap((s) => {
            const seen = s.notes.filter(isSeen);
            return seen.length > 0 ? [{ ...s, notes: seen }] : [];
          }),
    [steps, hands, isSeen],
  );
  const settled = shown?.option;
  const positions = useMemo(
    () => settled && positionsOf(study, settled.digits).filter(({ side }) => hands === "both" || side === hands),
    [study, settled, hands],
  );
  const lanes = useLanes({ ...view, all }, shown);
  const marks = useMarks(figures, wishes, sideOf);
  const { taken } = study.passage;
  const remedies = useMemo(() => ({ ...suggested.remedies, ...study.passage.remedies }), [suggested, study]);
  return { notes, steps: seenSteps, layers, lanes, sideOf, remedies, taken, positions, figures: marks };
}

/** Figures that keep their fingers, those the player has tied, and all others while they are being looked at. */
function useMarks(
  figures: readonly Figure[] | null,
  { tying, ties }: FingeringWishes,
  sideOf: (note: NoteId) => Side,
): readonly FigureMark[] {
  const [tab] = useQueryState("build", parseAsString);
  return useMemo(() => {
    const isKept = (figure: Figure, r: number): boolean => isTied(figure.returns[r]!, tying);
    const shown = (figures ?? []).filter((f) => tab === "figures" || f.returns.some((_, r) => isKept(f, r)));
    const chosen = (ties ?? []).map(({ notes, returns }, i): FigureMark => ({
      letter: String.fromCharCode(97 + ((shown.length + i) % 26)),
      side: sideOf(notes[0]!),
      places: [notes, ...returns.map((r) => r.flatMap((id) => id ?? []))].map((each) => ({ notes: each, tied: true })),
    }));
    return [...figureMarks(shown, isKept), ...chosen];
  }, [figures, tab, tying, ties, sideOf]);
}
