import { ToggleGroup } from "radix-ui";
import { originText, type OptionJudged } from "../passage-in-hand/option-cards";

interface Props {
  readonly all: readonly OptionJudged[];
  readonly chosen: readonly OptionJudged[];
  readonly onToggle: (name: string) => void;
}

/** Two to four fingerings of those there are. */
export function OptionPicks({ all, chosen, onToggle }: Props) {
  const names = chosen.map((o) => o.option.name);
  return (
    <div className="flex items-center gap-2 text-sm">
      <span aria-hidden className="text-soft">
        Against one another
      </span>
      <ToggleGroup.Root type="multiple" value={names} aria-label="Fingerings held against one another" className="flex">
        {all.map(({ option }) => (
          <ToggleGroup.Item
            key={option.id}
            value={option.name}
            onClick={() => onToggle(option.name)}
            aria-label={`Option ${option.name}, ${originText(option)}`}
            title={originText(option)}
            className="-ml-px size-11 border border-hairline bg-raised font-serif text-lg italic data-[state=on]:relative data-[state=on]:border-2 data-[state=on]:border-velvet data-[state=on]:font-bold"
          >
            {option.name}
          </ToggleGroup.Item>
        ))}
      </ToggleGroup.Root>
    </div>
  );
}
