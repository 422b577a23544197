import { RadioGroup } from "radix-ui";
import { leaningById } from "@/core/fingering/leanings";
import type { Judged } from "@/core/fingering/study";
import type { OptionData } from "@/server/types";
import { TONE_COLOUR, toneOf, strainText } from "../strain";

export interface OptionJudged {
  readonly option: OptionData;
  readonly judged: Judged;
}

/** Where an option comes from: a leaning, an edition by its name, or the player. */
export function originText({ origin, leaning, author }: OptionData): string {
  if (origin === "solved") return leaningById(leaning).label;
  if (author) return author;
  return origin === "printed" ? "as printed" : "your own";
}

interface Props {
  readonly all: readonly OptionJudged[];
  /** Letter of the option in view. */
  readonly chosen: string;
  readonly taken: string | null;
  readonly peakPlace: (judged: Judged) => string;
  readonly onChoose: (name: string) => void;
}

/** The options as a column: one is in view and is changed by the digits. */
export function OptionCards({ all, chosen, taken, peakPlace, onChoose }: Props) {
  return (
    <RadioGroup.Root value={chosen} onValueChange={onChoose} aria-label="Options" className="flex flex-col">
      {all.map(({ option, judged }) => (
        <RadioGroup.Item
          key={option.id}
          value={option.name}
          aria-label={`Option ${option.name}, ${originText(option)}, strain ${strainText(judged.strain)}`}
          className="group grid min-h-11 grid-cols-[1.6rem_1fr_auto] items-baseline gap-x-2 border-t border-hairline py-1.5 pl-2 text-left data-[state=checked]:bg-raised data-[state=checked]:shadow-[inset_3px_0_0_var(--velvet)]"
        >
          <span className="font-serif text-xl italic">{option.name}</span>
          <span className="text-sm">
            {originText(option)}
            {taken === option.id && <span className="ml-2 font-semibold text-velvet">taken</span>}
            <span className="block text-xs text-soft">{peakPlace(judged)}</span>
          </span>
          <span className="pr-1 text-right">
            <span className="text-lg">{strainText(judged.strain)}</span>
            <span
              aria-hidden
              className="mt-0.5 block h-1"
              style={{
                background: TONE_COLOUR[toneOf(judged.strain)],
                width: `${Math.min(56, Math.max(4, judged.strain))}px`,
              }}
            />
          </span>
        </RadioGroup.Item>
      ))}
    </RadioGroup.Root>
  );
}
