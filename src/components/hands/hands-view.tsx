import { format, parseISO } from "date-fns";
import { FINGERS, SIDES, type Finger, type Side } from "@/core/hand/finger";
import { handOfRulerSpan, limitsOf, type Hand } from "@/core/hand/hand";
import type { Point } from "@/core/hand/pose";
import { keyMiddle } from "@/core/keyboard/geometry";
import { instrument, type Instrument } from "@/core/keyboard/instrument";
import { pitch } from "@/core/keyboard/pitch";
import { CONTACT } from "@/core/physics";
import type { HandData, HandsData } from "@/server/types";
import { HandDrawing } from "../keyboard/hand-drawing";
import { Keyboard } from "../keyboard/keyboard";

const NAMES: Record<Side, string> = { right: "Right hand", left: "Left hand" };

/** Both hands at rest over the keyboard, to scale, with their spans. */
export function HandsView({ pianist, data }: { pianist: string; data: HandsData }) {
  const on = instrument(data.instrument.octaveWidth);
  const hands = {
    right: handOfRulerSpan("right", data.hands.right.rulerSpan),
    left: handOfRulerSpan("left", data.hands.left.rulerSpan),
  };
  return (
    <div>
      <div className="border-b border-hairline pb-2">
        <h1 className="font-serif text-3xl">{pianist}’s hands</h1>
        <p className="text-sm text-soft">
          On {data.instrument.name}, octave {data.instrument.octaveWidth} mm. Drawn to scale, five fingers at rest.
        </p>
      </div>
      <Keyboard
        instrument={on}
        lowest={pitch(40)}
        highest={pitch(84)}
        front={105}
        beside={0}
        label="Both hands at rest over the keyboard, to scale"
        className="my-3 max-h-[20rem] w-full"
      >
        {SIDES.map((side) => (
          <HandDrawing key={side} hand={hands[side]} contacts={atRest(hands[side], on)} striking={new Set()} />
        ))}
      </Keyboard>
      <div className="grid gap-8 md:grid-cols-2">
        {(["left", "right"] as const).map((side) => (
          <OneHand key={side} hand={hands[side]} data={data.hands[side]} octave={data.instrument.octaveWidth} />
        ))}
      </div>
    </div>
  );
}

function OneHand({ hand, data, octave }: { hand: Hand; data: HandData; octave: number }) {
  return (
    <section aria-label={NAMES[hand.side]}>
      <h2 className="flex items-baseline gap-3 font-serif text-2xl">
        {NAMES[hand.side]}
        <span className="font-sans text-lg">{data.rulerSpan} mm</span>
      </h2>
      <p className="text-sm text-soft">
        {data.measured[0]
          ? `Thumb to little finger on a ruler, measured ${day(data.measured[0].measuredOn)}${change(data)}.`
          : "Not measured yet: a middle hand is assumed."}{" "}
        At the keys it opens to {Math.round(hand.keySpan)} mm between contact points; an octave is {octave} mm.
      </p>
      <table className="mt-3 w-full text-sm">
        <caption className="pb-1 text-left text-soft">
          Openings by pair, in mm, estimated from the whole span in the published proportions
        </caption>
        <thead>
          <tr className="border-b border-ink text-left">
            <th scope="col" className="py-1 font-medium">
              Fingers
            </th>
            <th scope="col" className="text-right font-medium">
              Relaxed to
            </th>
            <th scope="col" className="text-right font-medium">
              Comfortable to
            </th>
            <th scope="col" className="text-right font-medium">
              Widest
            </th>
          </tr>
        </thead>
        <tbody>
          {PAIRS.map(([a, b]) => {
            const limits = limitsOf(hand, a, b);
            return (
              <tr key={`${a}${b}`} className="border-b border-hairline">
                <th scope="row" className="py-1 text-left font-normal">
                  {a} to {b}
                </th>
                <td className="text-right">{Math.round(limits.widestRelaxed)}</td>
                <td className="text-right">{Math.round(limits.widestComfortable)}</td>
                <td className="text-right">{Math.round(limits.widestPractical)}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </section>
  );
}

const PAIRS: readonly (readonly [Finger, Finger])[] = FINGERS.flatMap((a) =>
  FINGERS.filter((b) => b > a).map((b) => [a, b] as const),
);

function change({ measured: [now, before] }: HandData): string {
  if (!now || !before) return "";
  const by = now.rulerSpan - before.rulerSpan;
  return by === 0
    ? `, unchanged since ${day(before.measuredOn)}`
    : `, ${by > 0 ? "+" : "−"}${Math.abs(by)} mm since ${day(before.measuredOn)}`;
}

function day(date: string): string {
  return format(parseISO(date), "d MMM yyyy");
}

/** Middle finger over a white key to its side of the middle of the keyboard, the rest where they lie. */
function atRest(hand: Hand, on: Instrument): ReadonlyMap<Finger, Point> {
  const middle = keyMiddle(pitch(hand.side === "right" ? 76 : 48), on);
  const mirror = hand.side === "right" ? 1 : -1;
  return new Map(
    FINGERS.map((finger) => [
      finger,
      {
        x: middle + mirror * hand.restOffsets[finger - 1]!,
        y: CONTACT.whiteDepth + hand.behind[2]! - hand.behind[finger - 1]! + 20,
      },
    ]),
  );
}
