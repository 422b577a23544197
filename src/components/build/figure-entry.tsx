import type { Figure, FigureReturn } from "@/core/figures/figure";
import { relationByName } from "@/core/figures/relations";
import type { Fingering } from "@/core/fingering/study/fingering";
import type { Note, NoteId } from "@/core/passage/note";
import { PlaceButton } from "./place-button";

interface Props {
  readonly figure: Figure;
  /** The notes over which the hand is set as over a chord. */
  readonly staying: ReadonlySet<NoteId>;
  readonly notes: readonly Note[];
  readonly fingering: Fingering;
  readonly onGo: (note: NoteId) => void;
}

/** One figure: how often the hand is set over it, and each return, how alike it lies and whether it keeps its fingers. */
export function FigureEntry({ figure, staying, notes, fingering, onGo }: Props) {
  const set = stayingText(figure, staying);
  return (
    <section className="border-t border-hairline pt-1">
      <h4>
        <PlaceButton notes={notes} note={figure.notes[0]!} onGo={onGo} />
        <span className="text-soft">
          , {figure.notes.length} notes, {figure.side} hand:
        </span>
      </h4>
      {set && <p className="pl-3 text-soft">{set}</p>}
      <ul>
        {figure.returns.map((answer) => (
          <li key={answer.notes[0]} className="pl-3">
            <PlaceButton notes={notes} note={answer.notes[0]!} onGo={onGo} />
            <span className="block text-soft">{returnText(figure, answer, fingering)}</span>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** How often the hand is set over it as over a chord. */
function stayingText({ notes, returns }: Figure, staying: ReadonlySet<NoteId>): string | null {
  const times = [notes, ...returns.map((given) => given.notes)];
  const set = times.filter(([first]) => staying.has(first!)).length;
  if (set === 0) return null;
  const often = set === times.length ? "each time" : `${set} of ${times.length} times`;
  return `The hand is set over it as over a chord ${often}: a finger a key.`;
}

function returnText({ notes }: Figure, answer: FigureReturn, fingering: Fingering): string {
  const { relation, by, alike, changed, notes: theirs } = answer;
  const lies = alike === 1 ? "black and white alike" : `${Math.round(100 * alike)} of 100 keys alike`;
  const change = changed.length === 0 ? "" : `, ${changed.length} ${changed.length === 1 ? "note" : "notes"} changed`;
  const kept = notes.filter((id, place) => fingering[id] === fingering[theirs[place]!]).length;
  const fingers = kept === notes.length ? "same fingers" : `same fingers on ${kept} of ${notes.length}`;
  return `${relationByName(relation).say(by)}; ${lies}${change}; ${fingers}`;
}
