import { INPUT_LOOK } from "../ui/field";

interface Props {
  readonly label: string;
  readonly value: string;
  readonly options: readonly (readonly [value: string, text: string])[];
  readonly disabled: boolean;
  readonly onChange: (value: string) => void;
}

/** One thing that was guessed, and what it may be instead. */
export function HeardChoice({ label, value, options, disabled, onChange }: Props) {
  return (
    <label className="flex items-center gap-2">
      {label}
      <select
        className={INPUT_LOOK}
        value={value}
        disabled={disabled}
        onChange={(event) => onChange(event.target.value)}
      >
        {options.map(([one, text]) => (
          <option key={one} value={one}>
            {text}
          </option>
        ))}
      </select>
    </label>
  );
}
