import { Button } from "../ui/button";
import { LENGTH_KEYS } from "./use-entry-keys";
import type { Entering } from "./use-gestures";

const PRESSED = "aria-pressed:border-velvet! aria-pressed:text-velvet!";

/** What is done with a press, to the note before the cursor or to the bar: its name, its label and its key. */
const ACTS = [
  ["tie", "Tie", "Tie to the next (L)"],
  ["hand", "Other hand", "The other hand (H)"],
  ["voice", "Other voice", "The other voice of the hand (V)"],
  ["insertBar", "Add bar", "A bar after this one (I)"],
  ["removeBar", "Remove bar", "Take this bar out (X)"],
  ["remove", "Take out", "Take the note before the cursor out (Backspace)"],
] as const;

/** The length of the next note, and what can be done with the one before the cursor. */
export function LengthBar({ does }: { does: Entering }) {
  const { next, chording } = does;
  return (
    <>
      <div role="group" aria-label="Length of the next note" className="flex gap-1">
        {LENGTH_KEYS.map(([key, base, name]) => (
          <Button
            key={base}
            aria-pressed={next.base === base}
            aria-label={name}
            title={`${name} (${key})`}
            onClick={() => does.length(base)}
            className={`w-12 px-0! font-serif ${PRESSED}`}
          >
            {base === 1 ? "1" : `1/${base}`}
          </Button>
        ))}
        <Button aria-pressed={next.dotted} onClick={does.dot} title="Dotted (.)" className={`px-3! ${PRESSED}`}>
          Dotted
        </Button>
        <Button
          aria-pressed={next.tuplet !== null}
          onClick={does.tuplet}
          title="Tuplet (T)"
          className={`w-20 px-2! ${PRESSED}`}
        >
          {next.tuplet ? `${next.tuplet[0]} for ${next.tuplet[1]}` : "Tuplet"}
        </Button>
      </div>
      <div role="group" aria-label="Entering" className="flex flex-wrap gap-1">
        <Button onClick={does.rest} title="A rest (R)" className="px-3!">
          Rest
        </Button>
        <Button
          aria-pressed={chording}
          onClick={does.chord}
          title="Keys go to the chord before the cursor (K)"
          className={`px-3! ${PRESSED}`}
        >
          Chord
        </Button>
        {ACTS.map(([act, label, title]) => (
          <Button key={act} onClick={does[act]} title={title} className="px-3!">
            {label}
          </Button>
        ))}
      </div>
    </>
  );
}
