"use client";

import { counted } from "@/core/counted";
import { Slider } from "radix-ui";
import { toast } from "sonner";
import { differences } from "@/core/fingering/study/fingering";
import type { NoteId } from "@/core/passage/note";
import { keepFound, setTempo } from "@/server/actions";
import type { Answer, OptionData } from "@/server/types";
import { useAsk } from "../keeping/ask";
import { strainText } from "../strain";
import type { OptionJudged } from "../passage-in-hand/option-cards";
import type { TempoInHand } from "../passage-in-hand/use-tempo";
import { newId } from "../new-id";

/** The tempo in hand, from slow to above the target, with the target marked on its way. */
export function TempoSlider({ tempo, target, range, setTempo: set }: TempoInHand) {
  const place = ((target - range[0]) / (range[1] - range[0])) * 100;
  return (
    <div className="flex min-w-56 flex-1 items-center gap-3">
      <Slider.Root
        value={[tempo]}
        min={range[0]}
        max={range[1]}
        step={1}
        onValueChange={([next]) => set(next!)}
        className="relative flex h-11 flex-1 touch-none items-center select-none"
      >
        <Slider.Track className="relative h-px flex-1 bg-ink">
          <span aria-hidden className="absolute -top-2 h-4 w-px bg-ink" style={{ left: `${place}%` }} />
        </Slider.Track>
        <Slider.Thumb
          aria-label="Tempo, quarter notes a minute"
          className="block size-5 rounded-full border-2 border-velvet bg-paper"
        />
      </Slider.Root>
      <output className="w-16 text-right font-serif text-lg whitespace-nowrap">♩ = {tempo}</output>
    </div>
  );
}

/** Least by which another fingering must be easier to be spoken of. */
const WORTH_SAYING = 0.1;

interface Props {
  readonly passageId: string;
  readonly inHand: TempoInHand;
  readonly asked: readonly NoteId[];
  readonly onOptions: (options: readonly OptionData[]) => void;
}

/** Which option strains least at the tempo in hand, and whether the engine would find an easier one there. */
export function BestAtTempo({ passageId, inHand, asked, onOptions }: Props) {
  const { tempo, target, all, best } = inHand;
  const { busy, ask: asking } = useAsk(`passage ${passageId}`);
  const least = all.reduce<OptionJudged | null>((a, b) => (a && a.judged.strain <= b.judged.strain ? a : b), null);
  if (!least) return null;
  const easier = best !== null && best.strain < least.judged.strain - WORTH_SAYING ? best : null;
  const ask = async (call: () => Promise<Answer<readonly OptionData[]>>): Promise<void> => {
    const answer = await asking(call);
    if (answer.ok) onOptions(answer.value);
    else toast.error(answer.message);
  };
  return (
    <p className="text-sm">
      At ♩ = {tempo} <span className="font-serif text-base italic">{least.option.name}</span> strains least,{" "}
      {strainText(least.judged.strain)}.
      {easier && (
        <>
          {" "}
          Another would strain {strainText(easier.strain)}, with other fingers than {least.option.name} on{" "}
          {counted(differences(asked, easier.fingering, least.option.digits).length, "note")}.{" "}
          <TextButton
            disabled={busy}
            onClick={() => {
              const found = { id: newId(), passageId, found: `best at ♩ = ${tempo}`, digits: easier.fingering };
              void ask(() => keepFound(found));
            }}
          >
            Put it beside the options
          </TextButton>
        </>
      )}
      {tempo !== target && (
        <>
          {" "}
          The options are worked out for ♩ = {target}.{" "}
          <TextButton
            disabled={busy}
            onClick={() => {
              const asked = { id: newId(), passageId, tempo };
              void ask(() => setTempo(asked));
            }}
          >
            Make ♩ = {tempo} the target
          </TextButton>
        </>
      )}
    </p>
  );
}

function TextButton(props: React.ComponentProps<"button">) {
  return (
    <button type="button" className="min-h-6 text-velvet underline underline-offset-2 disabled:opacity-45" {...props} />
  );
}
