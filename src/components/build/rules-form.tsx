import type { FingeringWishes } from "@/core/options/asked/wishes";

type Rules = Pick<FingeringWishes, "noThumbOnBlack" | "noFourthAndFifth">;

interface Props {
  readonly rules: Rules;
  /** What cannot be kept, in sentences. */
  readonly conflicts: readonly string[];
  readonly onRules: (rules: Rules) => void;
}

/** Rules for the whole passage, and what conflicts with what is pinned. */
export function RulesForm({ rules, conflicts, onRules }: Props) {
  return (
    <div>
      <Rule
        text="No thumb on black keys"
        value={rules.noThumbOnBlack}
        onChange={(noThumbOnBlack) => onRules({ ...rules, noThumbOnBlack })}
      />
      <Rule
        text="Never 4 and 5 one after the other"
        value={rules.noFourthAndFifth}
        onChange={(noFourthAndFifth) => onRules({ ...rules, noFourthAndFifth })}
      />
      <p className="text-soft">
        Options worked out here keep to these. Shift and a digit rules one finger out on one note.
      </p>
      {conflicts.length > 0 && (
        <ul role="status" className="mt-2 border-l-2 border-velvet pl-3">
          {conflicts.map((words) => (
            <li key={words}>{words}</li>
          ))}
        </ul>
      )}
    </div>
  );
}

function Rule({ text, value, onChange }: { text: string; value: boolean; onChange: (value: boolean) => void }) {
  return (
    <label className="flex min-h-11 items-center gap-2">
      <input
        type="checkbox"
        className="size-5 accent-(--velvet)"
        checked={value}
        onChange={(event) => onChange(event.target.checked)}
      />
      {text}
    </label>
  );
}
