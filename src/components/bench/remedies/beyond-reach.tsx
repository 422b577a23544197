"use client";

import { counted } from "@/core/counted";
import { toast } from "sonner";
import type { Study } from "@/core/fingering/study/study";
import type { Side } from "@/core/hand/finger";
import type { NoteId } from "@/core/passage/note";
import type { NoteRemedy } from "@/core/passage/remedied";
import type { Allowances } from "@/core/reach/allowances";
import { remediesAt } from "@/core/reach/moment";
import type { Predicament } from "@/core/reach/predicament";
import { remedyLabel } from "@/core/reach/remedies";
import type { RemedyTried } from "@/core/reach/remedies-for";
import { remedy } from "@/server/actions";
import type { OptionData } from "@/server/types";
import { ask } from "../../keeping/ask";
import { noticeWithUndo } from "../../keeping/notice-with-undo";
import { RemedySign } from "../../score/marks/remedy-sign";
import { Button } from "../../ui/button";
import { useRemedies } from "./use-remedies";
import { newId } from "../../new-id";

interface Props {
  readonly passageId: string;
  readonly study: Study;
  readonly note: NoteId | null;
  readonly allows: Allowances;
  /** Options come back worked out anew. */
  readonly onOptions: (options: readonly OptionData[]) => void;
}

type Choice = Readonly<Record<NoteId, NoteRemedy | null>>;

/** Where a hand cannot hold what is written, or only with strain: the remedies, least lost first. */
export function BeyondReach({ passageId, study, note, allows, onOptions }: Props) {
  const chosen = note ? remediesAt(study.passage, note) : {};
  const hasChosen = Object.keys(chosen).length > 0;
  const { predicament, tried, broke } = useRemedies(study, note, allows, hasChosen);
  if (!predicament) return null;
  const lifted: Choice = Object.fromEntries(Object.keys(chosen).map((id) => [id, null]));
  const choose = async (notes: Choice, said: string, back: Choice | null): Promise<void> => {
    const asked = { id: newId(), passageId, notes };
    const kept = await ask(`passage ${passageId}`, () => remedy(asked));
    if (!kept) return;
    onOptions(kept.options);
    if (back) noticeWithUndo(said, () => void choose(back, "As it was.", null));
    else toast(said);
  };
  const take = (way: RemedyTried): void => {
    const lift = Object.fromEntries(Object.keys(way.notes).map((id) => [id, null]));
    void choose({ ...lifted, ...way.notes }, `Here: ${remedyLabel(way.kind)}.`, { ...lift, ...chosen });
  };
  return (
    <section aria-label="Remedies" className="border-t border-hairline pt-2 text-sm">
      <h2 className="font-serif text-lg">{titleOf(predicament, hasChosen)}</h2>
      {hasChosen && (
        <p className="flex items-center justify-between gap-2">
          Chosen here: {[...new Set(Object.values(chosen).map((r) => remedyLabel(r.kind)))].join(", ")}
          <Button onClick={() => void choose(lifted, "As written again.", chosen)}>As written</Button>
        </p>
      )}
      {broke && <p>Looking for remedies broke off. Choose the note again to look once more.</p>}
      {tried === null && !broke && <p className="text-soft">Looking for remedies…</p>}
      {tried?.length === 0 && <p>No remedy that you allow helps here.</p>}
      <ol>
        {tried?.map((way) => (
          <li
            key={way.words}
            className="grid grid-cols-[1.5rem_1fr_auto] items-start gap-x-2 border-b border-hairline py-1.5"
          >
            <svg width={20} height={20} viewBox="-10 -10 20 20" aria-hidden>
              <RemedySign kind={way.kind} hand={handIn(way)} />
            </svg>
            <div>
              <p>{way.words}</p>
              <p className="text-xs text-soft">
                loses {Math.round(way.loss)} of 100; strain here {Math.round(way.strainHere)}
              </p>
            </div>
            <Button aria-label={`Choose: ${way.words}`} onClick={() => take(way)}>
              Choose
            </Button>
          </li>
        ))}
      </ol>
    </section>
  );
}

/** The hand that takes notes over. */
function handIn({ notes }: RemedyTried): Side {
  return Object.values(notes).flatMap((r) => (r.kind === "other-hand" ? [r.hand] : []))[0] ?? "left";
}

function titleOf({ answer, side }: Predicament, hasChosen: boolean): string {
  if (answer.kind === "held") return hasChosen ? "A remedy is chosen" : `Strained for the ${side} hand`;
  if (answer.keys > answer.free) return `${counted(answer.keys, "key")} for ${counted(answer.free, "finger")}`;
  const short = answer.nearest?.short;
  return short
    ? `Out of reach: ${short.pair.join(" and ")} are ${Math.ceil(short.mm)} mm short`
    : `Out of reach for the ${side} hand`;
}
