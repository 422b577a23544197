import type { StruckAgain } from "@/core/figures/struck-again";
import type { Fingering } from "@/core/fingering/study/fingering";
import type { Note, NoteId } from "@/core/passage/note";
import { FoldedList } from "./folded-list";
import { PlaceButton } from "./place-button";

interface Props {
  readonly found: readonly StruckAgain[];
  readonly notes: readonly Note[];
  readonly fingering: Fingering;
  readonly onGo: (note: NoteId) => void;
}

/** Where keys are struck again and again, and by which fingers in turn. */
export function StruckAgainList({ found, notes, fingering, onGo }: Props) {
  return (
    <FoldedList name="Struck again" title="Keys struck again and again">
      {found.map((groups) => {
        const [first, last] = [groups[0]![0]!, groups.at(-1)!.at(-1)!];
        return (
          <li key={first} className="pl-3">
            <PlaceButton notes={notes} note={first} onGo={onGo} /> to{" "}
            <PlaceButton notes={notes} note={last} onGo={onGo} />
            <span className="block text-soft">{turnsText(groups, fingering)}</span>
          </li>
        );
      })}
    </FoldedList>
  );
}

/** "3 groups of 4, each with 4 3 2 1", or how many are fingered as most are. */
function turnsText(groups: StruckAgain, fingering: Fingering): string {
  const turns = groups.map((group) => group.map((id) => fingering[id] ?? "no finger").join(" "));
  const timesOf = (turn: string): number => turns.filter((other) => other === turn).length;
  const usual = turns.reduce((a, b) => (timesOf(b) > timesOf(a) ? b : a));
  const size = `${groups.length} groups of ${groups[0]!.length}`;
  return `${size}, ${timesOf(usual) === turns.length ? "each" : `${timesOf(usual)} of them`} with ${usual}`;
}
