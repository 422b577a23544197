"use client";

import { Dialog } from "radix-ui";
import { useEffect, useRef, useState } from "react";
import { delayOf, sayDelay } from "@/core/trials/delay";
import { DELAY } from "@/core/physics";
import type { PianoInput } from "../piano/piano-input";
import { Button } from "../ui/button";
import type { Schedule } from "../playing/schedule";
import { useSounding } from "../playing/use-sounding";

/** One click a quarter note, and one more for a stroke that comes late. */
const CLICKS: Schedule = {
  events: Array.from({ length: DELAY.clicks }, (_, at) => ({ kind: "click", at, strong: at % 4 === 0 }) as const),
  start: 0,
  end: DELAY.clicks,
};

/** A small check: strike a key on the click, and see how far the strokes come from it. */
export function DelayCheck({ piano }: { readonly piano: PianoInput | null }) {
  return (
    <Dialog.Root>
      <Dialog.Trigger asChild>
        <Button look="quiet" className="px-0! underline">
          Check the delay
        </Button>
      </Dialog.Trigger>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-black/40" />
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed top-1/2 left-1/2 z-40 w-[min(28rem,92vw)] -translate-x-1/2 -translate-y-1/2 border border-hairline bg-paper p-6"
        >
          <Dialog.Title className="font-serif text-2xl">Strike on the click</Dialog.Title>
          <Striking piano={piano} />
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}

function Striking({ piano }: { readonly piano: PianoInput | null }) {
  const { sound, stop, isSounding } = useSounding();
  const heardAt = useRef<((quarters: number) => number) | null>(null);
  const [strokes, setStrokes] = useState<readonly number[]>([]);
  const [clicks, setClicks] = useState<readonly number[]>([]);
  const strike = (ms: number): void => {
    if (heardAt.current) setStrokes((all) => [...all, ms]);
  };
  useEffect(
    () =>
      piano?.listen(({ down, ms }) => {
        if (down && heardAt.current) setStrokes((all) => [...all, ms]);
      }),
    [piano],
  );
  const begin = (): void => {
    heardAt.current = null;
    setStrokes([]);
    sound(CLICKS, DELAY.tempo, (playing) => {
      heardAt.current = playing.heardAt;
      setClicks(CLICKS.events.map(({ at }) => playing.heardAt(at)));
    });
  };
  const delay = delayOf(clicks, strokes);
  return (
    <>
      <p className="mt-2 text-sm">
        {DELAY.clicks} clicks, one a second. Strike{" "}
        {piano ? `any key of ${piano.name}` : "the field below, or its space bar,"} on each of them, softly and without
        looking.
      </p>
      <div className="mt-4 flex flex-wrap gap-2">
        <Button onClick={isSounding ? stop : begin}>{isSounding ? "Stop" : "Begin the clicks"}</Button>
        {!piano && (
          <Button
            onPointerDown={({ timeStamp }) => strike(timeStamp)}
            onKeyDown={({ key, repeat, timeStamp }) => key === " " && !repeat && strike(timeStamp)}
          >
            Strike here
          </Button>
        )}
      </div>
      <p role="status" className="mt-3 font-medium">
        {delay ? sayDelay(delay) : `${strokes.length} of at least ${DELAY.least} strokes`}
      </p>
      <p className="mt-2 text-sm text-soft">
        In it are the loudspeaker, the hand and the cable. The figures of a take use the times that the piano itself
        gives and are held against one another, so this does not enter them.
      </p>
      <Dialog.Close asChild>
        <Button className="mt-4">Close</Button>
      </Dialog.Close>
    </>
  );
}
