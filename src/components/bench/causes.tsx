import type { NoteId } from "@/core/passage/note";
import { TONE_COLOUR, toneOf, strainText } from "../strain";
import type { OptionJudged } from "./option-cards";

/** Why the chosen note strains, in each option beside the other, largest cause first. */
export function Causes({ all, note, title }: { all: readonly OptionJudged[]; note: NoteId | null; title: string }) {
  if (note === null) return <p className="text-sm text-soft">Choose a note to see why it strains.</p>;
  return (
    <section aria-label="Causes of strain">
      <h2 className="font-serif text-lg">{title}</h2>
      {all.map(({ option, judged }) => {
        const found = judged.notes[note];
        const finger = judged.fingering[note];
        return (
          <div key={option.id} className="mt-2">
            <h3 className="flex items-baseline gap-2 border-b border-hairline text-sm">
              <span className="font-serif text-base italic">{option.name}</span>
              <span>{finger ? `finger ${finger}` : "no finger"}</span>
              {note in option.pins && <span className="font-semibold underline">pinned</span>}
              <span className="ml-auto">{strainText(found?.strain ?? 0)}</span>
            </h3>
            <ul className="text-sm">
              {(found?.causes ?? []).map((cause, i) => (
                <li key={i} className="flex items-baseline gap-2 py-0.5">
                  <span
                    aria-hidden
                    className="h-2 shrink-0 self-center"
                    style={{
                      width: `${Math.min(40, Math.max(2, cause.strain))}px`,
                      background: TONE_COLOUR[toneOf(cause.strain)],
                    }}
                  />
                  <span>{cause.words}</span>
                  <span className="ml-auto pl-2">{strainText(cause.strain)}</span>
                </li>
              ))}
              {(found?.causes.length ?? 0) === 0 && <li className="text-soft">lies at ease</li>}
            </ul>
          </div>
        );
      })}
    </section>
  );
}
