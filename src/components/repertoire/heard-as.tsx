"use client";

import { toast } from "sonner";
import type { Choices } from "@/core/transcription/choices";
import type { Note, NoteId } from "@/core/passage/note";
import type { Doubt } from "@/core/transcription/transcript";
import { toNumber } from "@/core/time/beats";
import { hearPieceAgain } from "@/server/actions";
import type { HeardData } from "@/server/types";
import { useAsk } from "../keeping/ask";
import { Button } from "../ui/button";
import { signatureText } from "../ui/signature-text";
import { HeardChoice } from "./heard-choice";
import { useDoubtInHand } from "./use-doubt-in-hand";

interface Props {
  readonly pieceId: string;
  readonly heard: HeardData;
  /** The notes that its doubts are about, by the place of the doubt; null where none is known. */
  readonly doubtful: readonly (Note | null)[];
  /** Whether passages speak of the notes already: it stays as it was heard then. */
  readonly isSettled: boolean;
}

const TIMES = ["2/4", "3/4", "4/4", "5/4", "6/8", "9/8", "12/8", "2/2", "3/8", "7/8"];
const KEYS = Array.from({ length: 15 }, (_, i) => i - 7);
/** Doubtful notes that are listed at once. */
const LISTED = 8;

/** How a file of keys was heard as music: what was guessed, and what could as well be otherwise, each changed in one gesture. */
export function HeardAs({ pieceId, heard: { choices, guessed, doubts }, doubtful, isSettled }: Props) {
  const { busy, ask } = useAsk(`hearing of ${pieceId}`);
  const hear = async (more: Choices): Promise<void> => {
    const answer = await ask(() => hearPieceAgain({ pieceId, choices: { ...choices, ...more } }));
    if (!answer.ok) toast.error(answer.message);
  };
  const turn = ({ key, doubt }: Doubt): void => {
    const turned = choices.turned ?? [];
    const isTurned = turned.some((one) => one.key === key && one.doubt === doubt);
    const others = turned.filter((one) => one.key !== key || one.doubt !== doubt);
    void hear({ turned: isTurned ? others : [...others, { key, doubt }] });
  };
  const off = busy || isSettled;
  return (
    <section aria-label="As it was heard" className="mt-3 border-b border-hairline pb-4">
      <h2 className="font-serif text-xl">As it was heard</h2>
      <p className="max-w-prose text-sm text-soft">
        A file of keys says when keys go down, not how they are written. {said(guessed)}
        {isSettled && " It stays as it is, for passages speak of its notes."}
      </p>
      <Guesses guessed={guessed} disabled={off} busy={busy} onHear={(more) => void hear(more)} />
      <Doubts doubts={doubts.map((one, i) => ({ ...one, note: doubtful[i] ?? null }))} disabled={off} onTurn={turn} />
    </section>
  );
}

interface GuessesProps {
  readonly guessed: HeardData["guessed"];
  readonly disabled: boolean;
  readonly busy: boolean;
  readonly onHear: (more: Choices) => void;
}

/** Everything that was guessed of the whole, each to be said otherwise. */
function Guesses({ guessed, disabled, busy, onHear }: GuessesProps) {
  const time = guessed.time.join("/");
  return (
    <div className="mt-2 flex flex-wrap gap-3 text-sm" aria-busy={busy}>
      <HeardChoice
        label="Beat"
        value={guessed.beat}
        options={[
          ["file", "as the file counts"],
          ["ear", "by ear"],
        ]}
        disabled={disabled}
        onChange={(beat) => onHear({ beat: beat as "file" | "ear" })}
      />
      <HeardChoice
        label="Bars of"
        value={time}
        options={[...new Set([...TIMES, time])].map((one) => [one, one])}
        disabled={disabled}
        onChange={(next) => {
          const [count, unit] = next.split("/").map(Number) as [number, number];
          onHear({ time: [count, unit] });
        }}
      />
      <HeardChoice
        label="Upbeat"
        value={String(toNumber(guessed.upbeat))}
        options={upbeats(guessed.time, toNumber(guessed.upbeat))}
        disabled={disabled}
        onChange={(upbeat) => onHear({ time: guessed.time, upbeat: Number(upbeat) })}
      />
      <HeardChoice
        label="Key"
        value={String(guessed.fifths)}
        options={KEYS.map((fifths) => [String(fifths), signatureText(fifths)])}
        disabled={disabled}
        onChange={(fifths) => onHear({ fifths: Number(fifths) })}
      />
      <HeardChoice
        label="Shortest"
        value={String(guessed.finest)}
        options={[
          ["8", "eighths"],
          ["16", "sixteenths"],
          ["32", "thirty-seconds"],
        ]}
        disabled={disabled}
        onChange={(finest) => onHear({ finest: Number(finest) as 8 | 16 | 32 })}
      />
      {guessed.hasTwoTracks && (
        <HeardChoice
          label="Hands"
          value={guessed.hands}
          options={[
            ["tracks", "the file's two tracks"],
            ["cost", "by what lies best"],
          ]}
          disabled={disabled}
          onChange={(hands) => onHear({ hands: hands as "tracks" | "cost" })}
        />
      )}
    </div>
  );
}

/** What was taken from the file and what was found by ear, in a sentence. */
function said({ beat, isTimeStated, isSignatureStated, hands }: HeardData["guessed"]): string {
  const found = [
    ...(beat === "ear" ? ["the beat"] : []),
    ...(isTimeStated ? [] : ["the bars"]),
    ...(isSignatureStated ? [] : ["the key"]),
    ...(hands === "cost" ? ["which hand plays what"] : []),
    "the voices and the spelling",
  ];
  return `Guessed: ${found.join(", ")}.`;
}

/** Upbeats that a bar leaves room for, in quarter notes. */
function upbeats([count, unit]: HeardData["guessed"]["time"], now: number): readonly (readonly [string, string])[] {
  const step = unit >= 8 ? 0.5 : 1;
  const length = (4 * count) / unit;
  const all = Array.from({ length: Math.ceil(length / step) }, (_, i) => i * step);
  return [...new Set([...all, now])]
    .sort((a, b) => a - b)
    .map((one) => [String(one), one === 0 ? "none" : `${one} ${one === 1 ? "quarter" : "quarters"}`] as const);
}

interface DoubtsProps {
  readonly doubts: readonly (Doubt & { readonly note: Note | null })[];
  readonly disabled: boolean;
  readonly onTurn: (doubt: Doubt) => void;
}

function Doubts({ doubts, disabled, onTurn }: DoubtsProps) {
  if (doubts.length === 0) return <p className="mt-2 text-sm">No note is doubtful.</p>;
  const [first, more] = [doubts.slice(0, LISTED), doubts.slice(LISTED)];
  return (
    <div className="mt-2 text-sm">
      <h3 className="font-medium">
        {doubts.length === 1 ? "1 note is doubtful" : `${doubts.length} notes are doubtful`}
        {doubts.some(({ note }) => note !== null) && <Key />}
      </h3>
      <DoubtList doubts={first} disabled={disabled} onTurn={onTurn} />
      {more.length > 0 && (
        <details>
          <summary className="min-h-11 cursor-pointer py-2.5 text-soft">{more.length} more</summary>
          <DoubtList doubts={more} disabled={disabled} onTurn={onTurn} />
        </details>
      )}
    </div>
  );
}

/** What the sign on the score stands for. */
function Key() {
  return (
    <span className="font-normal text-soft">
      , each with <span className="font-serif font-semibold text-brass">?</span> on the score below
    </span>
  );
}

function DoubtList({ doubts, disabled, onTurn }: DoubtsProps) {
  const inHand = useDoubtInHand();
  return (
    <ul className="grid gap-x-6 md:grid-cols-2">
      {doubts.map((one) => (
        <li
          key={`${one.key} ${one.doubt}`}
          aria-current={one.note !== null && one.note.id === inHand.note}
          className="flex flex-wrap items-center gap-2 border-t border-hairline py-1 aria-[current=true]:bg-raised"
        >
          <DoubtPlace doubt={one} onShow={inHand.take} />
          <Button disabled={disabled} onClick={() => onTurn(one)}>
            Write {one.otherwise}
          </Button>
        </li>
      ))}
    </ul>
  );
}

interface DoubtPlaceProps {
  readonly doubt: DoubtsProps["doubts"][number];
  readonly onShow: (note: NoteId) => void;
}

/** Where a doubt is and how it is written now; it shows the note on the score where that is known. */
function DoubtPlace({ doubt: { bar, name, now, note }, onShow }: DoubtPlaceProps) {
  const said = `Bar ${bar}, ${name}: ${now}`;
  if (note === null) return <span className="grow">{said}</span>;
  return (
    <button type="button" onClick={() => onShow(note.id)} className="min-h-11 grow cursor-pointer text-left">
      {said}
    </button>
  );
}
