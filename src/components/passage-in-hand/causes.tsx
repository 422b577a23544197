import type { Lowering } from "@/core/fingering/explain/lowering";
import { mattering } from "@/core/fingering/explain/mattering";
import type { CauseJudged } from "@/core/fingering/study/study";
import type { Finger } from "@/core/hand/finger";
import type { Note, NoteId } from "@/core/passage/note";
import { placeText } from "@/core/passage/place";
import { TONE_COLOUR, toneOf, strainText } from "../strain";
import type { OptionJudged } from "./option-cards";

interface Props {
  readonly all: readonly OptionJudged[];
  readonly note: NoteId | null;
  readonly title: string;
  /** What would lower it in one option, if that has been looked for. */
  readonly lowering?: {
    readonly option: string;
    readonly notes: readonly Note[];
    readonly found: readonly Lowering[] | null;
    readonly onPin: (note: NoteId, finger: Finger) => void;
  };
}

/** Why the chosen note strains, in each option beside the other, largest cause first, and what would lower it. */
export function Causes({ all, note, title, lowering }: Props) {
  if (note === null) return <p className="text-sm text-soft">Choose a note to see why it strains.</p>;
  return (
    <section aria-label="Causes of strain">
      <h2 className="font-serif text-lg">{title}</h2>
      {all.map(({ option, judged }) => {
        const found = judged.notes[note];
        const finger = judged.fingering[note];
        const { told, folded } = mattering(found?.causes ?? []);
        return (
          <div key={option.id} className="mt-2">
            <h3 className="flex items-baseline gap-2 border-b border-hairline text-sm">
              <span className="font-serif text-base italic">{option.name}</span>
              <span>{finger ? `finger ${finger}` : "no finger"}</span>
              {note in option.pins && <span className="font-semibold underline">pinned</span>}
              <span className="ml-auto">{strainText(found?.strain ?? 0)}</span>
            </h3>
            <ul className="text-sm">
              {told.map((cause, i) => (
                <Cause key={i} cause={cause} />
              ))}
              {told.length === 0 && <li className="text-soft">lies at ease</li>}
            </ul>
            {folded.length > 0 && (
              <details className="text-sm">
                <summary className="min-h-6 cursor-pointer text-soft">
                  {folded.length} {folded.length === 1 ? "lesser one" : "lesser ones"}
                </summary>
                <ul>
                  {folded.map((cause, i) => (
                    <Cause key={i} cause={cause} />
                  ))}
                </ul>
              </details>
            )}
            {lowering?.option === option.id && lowering.found && (
              <WouldLower note={note} {...lowering} found={lowering.found} />
            )}
          </div>
        );
      })}
    </section>
  );
}

function Cause({ cause: { words, strain } }: { readonly cause: CauseJudged }) {
  return (
    <li className="flex items-baseline gap-2 py-0.5">
      <span
        aria-hidden
        className="h-2 shrink-0 self-center"
        style={{ width: `${Math.min(40, Math.max(2, strain))}px`, background: TONE_COLOUR[toneOf(strain)] }}
      />
      <span>{words}</span>
      <span className="ml-auto pl-2">{strainText(strain)}</span>
    </li>
  );
}

/** Fingers that would lower it, each of which can be pinned at once. */
function WouldLower({
  note,
  notes,
  found,
  onPin,
}: Omit<NonNullable<Props["lowering"]>, "found"> & { readonly note: NoteId; readonly found: readonly Lowering[] }) {
  if (found.length === 0)
    return <p className="mt-1 text-sm text-soft">No other finger here lowers it without costing more elsewhere.</p>;
  return (
    <ul aria-label="What would lower it" className="mt-1 border-l-2 border-velvet pl-2 text-sm">
      {found.map((way) => (
        <li key={`${way.note} ${way.finger}`}>
          <button
            type="button"
            onClick={() => onPin(way.note, way.finger)}
            className="flex min-h-8 w-full items-baseline gap-2 text-left hover:text-velvet"
          >
            <span>
              with {way.finger} {where(way.note, note, notes)} {way.gain}
            </span>
            <span className="ml-auto pl-2 whitespace-nowrap">
              {signed(way.here)}
              {Math.abs(way.elsewhere) >= 0.5 && (
                <span className="text-soft"> ({signed(way.elsewhere)} elsewhere)</span>
              )}
            </span>
          </button>
        </li>
      ))}
    </ul>
  );
}

function where(changed: NoteId, asked: NoteId, notes: readonly Note[]): string {
  const found = notes.find((n) => n.id === changed);
  return changed === asked || !found ? "here" : `at ${placeText(found.bar, found.beat)}`;
}

function signed(strain: number): string {
  return `${strain < 0 ? "−" : "+"}${strainText(Math.abs(strain))}`;
}
