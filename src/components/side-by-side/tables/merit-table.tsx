import type { MeritRow } from "@/core/merits";
import type { Note, NoteId } from "@/core/passage/note";
import { placeText } from "@/core/passage/place";

interface Props {
  /** Letters of the fingerings, in the order of the rows' figures. */
  readonly names: readonly string[];
  readonly rows: readonly MeritRow[];
  readonly notes: readonly Note[];
  readonly onGo: (note: NoteId) => void;
}

/** Figures of merit of some fingerings: the better one marked, and in words how far the others are from it. */
export function MeritTable({ names, rows, notes, onGo }: Props) {
  return (
    <table className="w-full text-sm">
      <caption className="pb-1 text-left font-serif text-lg">Figures of merit at the target tempo</caption>
      <thead>
        <tr className="border-b border-ink text-left">
          <th scope="col" className="py-1 font-medium">
            What
          </th>
          {names.map((name) => (
            <th key={name} scope="col" className="pl-4 font-serif text-base font-medium italic">
              {name}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {rows.map(({ merit, found, better, apart }) => (
          <tr key={merit.id} className="border-b border-hairline align-baseline">
            <th scope="row" className="py-1 text-left font-normal">
              {merit.label}
            </th>
            {found.map(({ amount, where, more }, i) => (
              <td key={i} className={`py-1 pl-4 ${better.includes(i) ? "font-bold" : ""}`}>
                {better.includes(i) && <span aria-hidden>▸ </span>}
                {merit.say(amount)}
                {better.includes(i) && <span className="sr-only"> (better)</span>}
                {apart[i] && <span className="ml-1 text-xs font-normal text-soft">{apart[i]}</span>}
                {where && amount > 0 && (
                  <button
                    type="button"
                    onClick={() => onGo(where)}
                    className="block min-h-6 text-left text-xs font-normal text-soft underline decoration-hairline underline-offset-2 hover:text-velvet"
                  >
                    {more && `${more}, `}
                    {placeOf(where, notes)}
                  </button>
                )}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function placeOf(note: NoteId, notes: readonly Note[]): string {
  const found = notes.find((n) => n.id === note);
  return found ? placeText(found.bar, found.beat) : "";
}
