"use client";

import { Slider } from "radix-ui";
import { useState } from "react";
import type { Side } from "@/core/hand/finger";
import { FELT_NEXT, FELT_PLACES, MIDDLE_PLACES, type Felt, type FeltNext, type FeltPlace } from "@/core/trials/felt";
import { Button } from "../ui/button";
import { Choice } from "../ui/choice";

interface Props {
  /** Bars that are chosen on the score; null where none are. */
  readonly bars: Felt["bars"];
  readonly onSay: (felt: Felt) => void;
  readonly onSkip: () => void;
}

const TOGGLE =
  "min-h-9 border border-hairline px-2 text-sm aria-pressed:border-velvet aria-pressed:font-medium aria-pressed:text-velvet";

/** What was felt in a take: where, how much, whether the player is loose now, and what comes next, which also keeps it. */
export function FeltForm({ bars, onSay, onSkip }: Props) {
  const [side, setSide] = useState<Side>("right");
  const [places, setPlaces] = useState<Felt["places"]>([]);
  const [amount, setAmount] = useState(0);
  const [easy, setEasy] = useState<boolean | null>(null);
  const [loose, setLoose] = useState<boolean | null>(null);
  const at = (place: FeltPlace): Felt["places"][number] => ({
    place,
    side: MIDDLE_PLACES.includes(place) ? null : side,
  });
  const isOn = (place: FeltPlace): boolean => places.some((p) => p.place === place && p.side === at(place).side);
  const toggle = (place: FeltPlace): void =>
    setPlaces(
      isOn(place) ? places.filter((p) => p.place !== place || p.side !== at(place).side) : [...places, at(place)],
    );
  const say = (next: FeltNext | null): void => onSay({ places, amount, bars, loose, easy, next });
  return (
    <section
      aria-label="What you felt"
      className="border-t border-hairline pt-3"
      onKeyDown={(event) => event.key === "Escape" && onSkip()}
    >
      <h2 className="font-serif text-lg">Tension</h2>
      <p className="text-sm text-soft">
        {bars
          ? `In bars ${bars.from} to ${bars.to}, as chosen on the score.`
          : "In the whole; or choose bars on the score."}
      </p>
      <Choice
        label="Side"
        value={side}
        options={[
          ["right", "Right"],
          ["left", "Left"],
        ]}
        onChange={setSide}
      />
      <div role="group" aria-label="Where" className="mt-2 flex flex-wrap gap-1">
        {FELT_PLACES.map((place) => (
          <button key={place} type="button" aria-pressed={isOn(place)} onClick={() => toggle(place)} className={TOGGLE}>
            {place}
          </button>
        ))}
      </div>
      <HowMuch amount={amount} onAmount={setAmount} />
      <YesNo label="Was it easy?" value={easy} onChange={setEasy} />
      <YesNo label="Am I loose now?" value={loose} onChange={setLoose} />
      <p className="mt-2 text-sm">What next?</p>
      <div role="group" aria-label="What next" className="mt-1 flex flex-wrap gap-1">
        {FELT_NEXT.map((next) => (
          <Button key={next} className="px-2!" onClick={() => say(next)}>
            {next}
          </Button>
        ))}
        <Button look="quiet" className="px-2!" onClick={onSkip}>
          Skip
        </Button>
      </div>
    </section>
  );
}

function HowMuch({ amount, onAmount }: { readonly amount: number; readonly onAmount: (amount: number) => void }) {
  return (
    <div className="mt-2 flex items-center gap-3 text-sm">
      <span aria-hidden>How much</span>
      <Slider.Root
        className="relative flex h-11 flex-1 touch-none items-center"
        min={0}
        max={10}
        step={1}
        value={[amount]}
        onValueChange={([next]) => onAmount(next!)}
      >
        <Slider.Track className="relative h-px w-full bg-ink" />
        <Slider.Thumb aria-label="How much" className="block size-5 rounded-full border-2 border-velvet bg-paper" />
      </Slider.Root>
      <output className="w-6 text-right tabular-nums">{amount}</output>
    </div>
  );
}

interface YesNoProps {
  readonly label: string;
  readonly value: boolean | null;
  readonly onChange: (value: boolean) => void;
}

/** A question that may stay without an answer. */
function YesNo({ label, value, onChange }: YesNoProps) {
  return (
    <Choice
      label={label}
      value={value === null ? "" : value ? "yes" : "no"}
      options={[
        ["yes", "Yes"],
        ["no", "No"],
      ]}
      onChange={(next) => onChange(next === "yes")}
    />
  );
}
