import { useMemo } from "react";
import { ToggleGroup } from "radix-ui";
import { leaningById } from "@/core/options/leanings";
import type { MeritFound } from "@/core/merits";
import { counted } from "@/core/counted";
import { differences } from "@/core/fingering/study/fingering";
import type { Judged } from "@/core/fingering/study/study";
import type { NoteId } from "@/core/passage/note";
import type { OptionData } from "@/server/types";
import { TONE_COLOUR, toneOf, strainText } from "../strain";

export interface OptionJudged {
  readonly option: OptionData;
  readonly judged: Judged;
}

/** What a card says of an option beside its strain. */
export interface CardMerits {
  readonly widest: MeritFound;
  readonly moves: number;
  readonly passes: number;
  readonly traps: number;
}

/** Where an option comes from: a leaning, an edition or a place by its name, or the player. */
export function originText({ origin, leaning, author }: OptionData): string {
  if (author) return author;
  if (origin === "solved") return leaningById(leaning).label;
  return origin === "printed" ? "as printed" : "your own";
}

interface Props {
  readonly all: readonly OptionJudged[];
  /** Letter of the option in force: the one that the digits change. */
  readonly chosen: string;
  /** Letter of the option shown for a look, if any. */
  readonly previewed: string | null;
  readonly taken: string | null;
  readonly merits: ReadonlyMap<string, CardMerits>;
  /** Letter of the one that strains least. */
  readonly least: string | null;
  readonly onPreview: (name: string | null) => void;
  readonly onChoose: (name: string) => void;
}

/** The options as a column: pointing at one or reaching it by keyboard shows it on the score, choosing puts it in force. */
export function OptionCards({ all, chosen, previewed, taken, merits, least, onPreview, onChoose }: Props) {
  const twins = useMemo(() => all.map((_, place) => twinBefore(all, place)), [all]);
  return (
    <ToggleGroup.Root
      type="single"
      orientation="vertical"
      value={chosen}
      onValueChange={(name) => {
        if (name) onChoose(name);
      }}
      aria-label="Options"
      className="flex flex-col"
      onMouseLeave={() => onPreview(null)}
      onBlur={() => onPreview(null)}
    >
      {all.map(({ option, judged }, place) => {
        const more = twins[place] ? `the same fingers as ${twins[place]}` : meritsText(merits.get(option.id));
        return (
          <ToggleGroup.Item
            key={option.id}
            value={option.name}
            aria-label={cardText(option, judged, more)}
            onMouseEnter={() => onPreview(option.name)}
            onFocus={() => onPreview(option.name)}
            className={`grid min-h-11 grid-cols-[1.6rem_1fr_auto] items-baseline gap-x-2 border-t border-hairline py-1.5 pl-2 text-left data-[state=on]:bg-raised data-[state=on]:shadow-[inset_3px_0_0_var(--velvet)] ${previewed === option.name ? "bg-raised" : ""}`}
          >
            <span className="font-serif text-xl italic">{option.name}</span>
            <span className="text-sm">
              {option.title ?? originText(option)}
              {taken === option.id && <span className="ml-2 font-semibold text-velvet">taken</span>}
              <span className="block text-xs text-soft">
                {option.title && `${originText(option)}; `}
                {more}
              </span>
            </span>
            <span className="pr-1 text-right">
              {least === option.name && all.length > 1 && <span className="mr-1.5 text-xs text-soft">least</span>}
              <span className="text-lg">{strainText(judged.strain)}</span>
              <span
                aria-hidden
                className="mt-0.5 ml-auto block h-1"
                style={{
                  background: TONE_COLOUR[toneOf(judged.strain)],
                  width: `${Math.min(56, Math.max(4, judged.strain))}px`,
                }}
              />
            </span>
          </ToggleGroup.Item>
        );
      })}
    </ToggleGroup.Root>
  );
}

function cardText(option: OptionData, judged: Judged, more: string): string {
  const origin = option.title ? `${option.title}, ${originText(option)}` : originText(option);
  return `Option ${option.name}, ${origin}, strain ${strainText(judged.strain)}${more && `, ${more}`}`;
}

/** The letter of the first option before one that has the same fingers on every note, as may come of changed wishes; null where none has. */
function twinBefore(all: readonly OptionJudged[], place: number): string | null {
  const { digits } = all[place]!.option;
  const twin = all.slice(0, place).find(({ option }) => {
    const notes = Object.keys({ ...option.digits, ...digits }) as NoteId[];
    return notes.length > 0 && differences(notes, option.digits, digits).length === 0;
  });
  return twin?.option.name ?? null;
}

function meritsText(merits: CardMerits | undefined): string {
  if (!merits) return "";
  const { widest, moves, passes, traps } = merits;
  const counts = [
    someOrNo(moves, "move", "moves"),
    someOrNo(passes, "pass", "passes"),
    ...(traps > 0 ? [someOrNo(traps, "trap", "traps")] : []),
  ];
  return `opens ${Math.round(widest.amount)} mm, ${counts.join(", ")}`;
}

function someOrNo(amount: number, one: string, many: string): string {
  return amount === 0 ? `no ${many}` : counted(amount, one, many);
}
