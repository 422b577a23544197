"use client";

import { ToggleGroup } from "radix-ui";

interface Props<Value extends string> {
  readonly label: string;
  readonly value: Value;
  readonly options: readonly (readonly [Value, string])[];
  readonly onChange: (value: Value) => void;
}

/** One of a few, all to be seen at once. */
export function Choice<Value extends string>({ label, value, options, onChange }: Props<Value>) {
  return (
    <div className="flex items-center gap-2 text-sm">
      <span aria-hidden>{label}</span>
      <ToggleGroup.Root
        type="single"
        value={value}
        onValueChange={(next) => {
          if (next) onChange(next as Value);
        }}
        aria-label={label}
        className="inline-flex"
      >
        {options.map(([option, text]) => (
          <ToggleGroup.Item
            key={option}
            value={option}
            className="-ml-px min-h-11 border border-hairline bg-raised px-3 text-sm first:rounded-l-sm last:rounded-r-sm data-[state=on]:relative data-[state=on]:border-velvet data-[state=on]:text-velvet"
          >
            {text}
          </ToggleGroup.Item>
        ))}
      </ToggleGroup.Root>
    </div>
  );
}
