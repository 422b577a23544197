"use client";

import Link from "next/link";
import { useMemo, useState } from "react";
import { toast } from "sonner";
import type { Side } from "@/core/hand/finger";
import { problemsOf, type HandMeasured, type PairMeasured } from "@/core/hand/measured";
import { PAIRS, pairName, type Pair, type PairName } from "@/core/hand/pair";
import { intervalHeld } from "@/core/keyboard/interval";
import { instrument, type Instrument } from "@/core/keyboard/instrument";
import { pitch, pitchName } from "@/core/keyboard/pitch";
import { leastOpening } from "@/core/placement/between";
import { measure } from "@/server/actions";
import type { HandsData } from "@/server/types";
import { ScreenPiano } from "../piano/screen-piano";
import { usePiano, type PianoHeard } from "../piano/use-piano";
import { ask } from "../keeping/ask";
import { Button } from "../ui/button";
import { Choice } from "../ui/choice";
import { HAND_NAMES } from "./hand-form";
import { FIGURES, shown } from "./fields";
import { newId } from "../new-id";

/** One question: how far do two fingers open? */
interface Question {
  readonly pair: Pair;
  readonly figure: keyof PairMeasured;
}

/** The whole hand first, then from the thumb outward, then the pairs without it. */
const ORDER: readonly Pair[] = [[1, 5], ...PAIRS.filter(([a, b]) => !(a === 1 && b === 5))];
const QUESTIONS: readonly Question[] = ORDER.flatMap((pair) => FIGURES.map((figure) => ({ pair, figure })));

const ASKED = {
  comfortable: "Hold the two keys farthest apart that lie at ease, as you would for a whole page of music.",
  widest:
    "Now the two keys farthest apart that these fingers still hold, without force. If it hurts, stop and leave it.",
} as const;

/** All pairs of a hand measured in a few minutes, with nothing but keys: on the screen, or on a connected piano. */
export function MeasureAtKeys({ data }: { data: HandsData }) {
  const [side, setSide] = useState<Side>("right");
  const [at, setAt] = useState(0);
  const [answers, setAnswers] = useState<Readonly<Record<string, PairMeasured>>>({});
  const piano = usePiano();
  const on = useMemo(() => instrument(data.instruments[0]!.octaveWidth), [data]);
  const measured = useMemo(() => merged(data.measurements[side][0]?.measured ?? {}, answers), [data, side, answers]);
  const question = QUESTIONS[at];
  const go = (to: number): void => {
    piano.clear();
    setAt(to);
  };
  const begin = (of: Side): void => {
    setSide(of);
    setAnswers({});
    go(0);
  };
  const take = ({ pair, figure }: Question, mm: number): void => {
    const name = pairName(...pair);
    setAnswers({ ...answers, [name]: { ...answers[name], [figure]: Math.round(mm * 10) / 10 } });
    go(at + 1);
  };
  return (
    <div className="max-w-5xl">
      <div className="flex flex-wrap items-center justify-between gap-3 pt-3">
        <Choice
          label="Hand"
          value={side}
          options={[
            ["right", "Right"],
            ["left", "Left"],
          ]}
          onChange={begin}
        />
        <p className="text-sm text-soft">
          Listening to {piano.connected ? piano.connected.name : "the keyboard on the screen"}.{" "}
          {!piano.connected && (
            <Button look="quiet" onClick={piano.connect}>
              Connect a MIDI piano
            </Button>
          )}
        </p>
      </div>
      {piano.complaint && <p className="text-sm text-soft">{piano.complaint}</p>}
      {question ? (
        <section aria-label="Question" className="mt-4">
          <Asking key={at} side={side} at={at} question={question} on={on} piano={piano} onTake={take} onGo={go} />
          <Taken answers={answers} />
        </section>
      ) : (
        <Review
          playerId={data.playerId}
          side={side}
          answers={answers}
          measured={measured}
          problems={problemsOf(measured).map((p) => p.sentence)}
          today={data.today}
          way={piano.connected ? "midi" : "keys"}
          onAgain={() => go(0)}
        />
      )}
    </div>
  );
}

interface AskingProps {
  readonly side: Side;
  readonly at: number;
  readonly question: Question;
  readonly on: Instrument;
  readonly piano: PianoHeard;
  /** @param mm at the edges that face each other */
  readonly onTake: (question: Question, mm: number) => void;
  readonly onGo: (at: number) => void;
}

/** One question, with the keys that answer it. */
function Asking({ side, at, question, on, piano, onTake, onGo }: AskingProps) {
  const [low, high] = [piano.down[0], piano.down.at(-1)];
  const opening = piano.down.length === 2 ? leastOpening(low!, high!, on) : null;
  return (
    <>
      <p className="text-sm text-soft">
        {at + 1} of {QUESTIONS.length}
      </p>
      <h2 className="font-serif text-2xl">
        {HAND_NAMES[side]}, {question.pair[0]} and {question.pair[1]}:{" "}
        {question.figure === "comfortable" ? "comfortable" : "widest, without force"}
      </h2>
      <p className="max-w-prose">{ASKED[question.figure]}</p>
      <p aria-live="polite" className="mt-2 min-h-7 text-lg">
        {opening !== null
          ? `${pitchName(low!)} and ${pitchName(high!)}: ${shown(opening)} mm at the edges that face each other${white(intervalHeld(opening, on))}.`
          : piano.down.length > 2
            ? "More than two keys are down."
            : "Press the two keys."}
      </p>
      <ScreenPiano
        instrument={on}
        lowest={pitch(48)}
        highest={pitch(84)}
        down={piano.down}
        onPress={piano.screen.press}
      />
      <div className="mt-3 flex flex-wrap gap-3">
        <Button
          look="main"
          disabled={opening === null}
          onClick={() => {
            if (opening !== null) onTake(question, opening);
          }}
        >
          Take it
        </Button>
        <Button onClick={() => onGo(at + 1)}>Leave it out</Button>
        {at > 0 && (
          <Button look="quiet" onClick={() => onGo(at - 1)}>
            Back
          </Button>
        )}
        <Button look="quiet" onClick={() => onGo(QUESTIONS.length)}>
          Enough for today
        </Button>
      </div>
    </>
  );
}

/** What has been taken so far. */
function Taken({ answers }: { answers: Readonly<Record<string, PairMeasured>> }) {
  const names = namesIn(answers);
  if (names.length === 0) return null;
  return (
    <ul aria-label="Taken so far" className="mt-5 flex flex-wrap gap-x-6 gap-y-1 text-sm text-soft">
      {names.map((name) => (
        <li key={name}>
          {name.replace("-", " and ")}: {figuresText(answers[name]!)}
        </li>
      ))}
    </ul>
  );
}

function namesIn(answers: Readonly<Record<string, PairMeasured>>): readonly PairName[] {
  return PAIRS.map((p) => pairName(...p)).filter((name) => answers[name]);
}

/** "150 mm comfortable, 173.5 mm widest". */
function figuresText(pair: PairMeasured): string {
  return FIGURES.flatMap((figure) => (pair[figure] === undefined ? [] : [`${shown(pair[figure])} mm ${figure}`])).join(
    ", ",
  );
}

function white(interval: string | null): string {
  const article = interval?.match(/^[aeiou]/) ? "an" : "a";
  return interval ? `, as wide as ${article} ${interval} of white keys` : "";
}

/** What was left out keeps what it was; the ruler gives way to the keys. */
function merged(before: HandMeasured, answers: Readonly<Record<string, PairMeasured>>): HandMeasured {
  const { rulerSpan, pairs, ...rest } = before;
  const both = { ...pairs, ...answers };
  const keepsRuler = rulerSpan !== undefined && both["1-5"]?.widest === undefined;
  return { ...rest, ...(keepsRuler ? { rulerSpan } : {}), pairs: both };
}

interface ReviewProps {
  readonly playerId: string;
  readonly side: Side;
  readonly answers: Readonly<Record<string, PairMeasured>>;
  readonly measured: HandMeasured;
  readonly problems: readonly string[];
  readonly today: string;
  readonly way: "keys" | "midi";
  readonly onAgain: () => void;
}

function Review({ playerId, side, answers, measured, problems, today, way, onAgain }: ReviewProps) {
  const [kept, setKept] = useState(false);
  const keep = async (): Promise<void> => {
    const asked = { id: newId(), playerId, side, measuredOn: today, way, ...measured };
    if (!(await ask("measurements", () => measure(asked)))) return;
    setKept(true);
    toast(`${HAND_NAMES[side]} kept as measured today.`);
  };
  const names = namesIn(answers);
  return (
    <section aria-label="What was measured" className="mt-4">
      <h2 className="font-serif text-2xl">{HAND_NAMES[side]}: what was measured</h2>
      {names.length === 0 && <p>Nothing was taken.</p>}
      <ul className="mt-2 grid max-w-xl gap-1 text-sm">
        {names.map((name) => (
          <li key={name} className="flex justify-between border-b border-hairline">
            <span>{name.replace("-", " and ")}</span>
            <span>{figuresText(answers[name]!)}</span>
          </li>
        ))}
      </ul>
      {problems.length > 0 && (
        <ul role="alert" className="mt-2 text-sm text-vermilion">
          {problems.map((sentence) => (
            <li key={sentence}>{sentence}</li>
          ))}
        </ul>
      )}
      <div className="mt-4 flex flex-wrap items-center gap-3">
        {!kept && (
          <Button look="main" disabled={names.length === 0 || problems.length > 0} onClick={() => void keep()}>
            Keep it as measured today
          </Button>
        )}
        <Button onClick={onAgain}>Go through it again</Button>
        <Link href="/hands" className="text-sm underline underline-offset-2">
          Hands
        </Link>
      </div>
    </section>
  );
}
