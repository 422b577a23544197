import type { ComponentProps } from "react";
import { Field, INPUT_LOOK } from "./field";

interface Props extends ComponentProps<"input"> {
  readonly label: string;
  readonly error?: string | undefined;
}

/** A labelled number of a form, with its complaint under it. */
export function NumberField({ label, error, className = "", ...input }: Props) {
  return (
    <Field label={label} error={error}>
      {(id, by) => (
        <input id={id} type="number" aria-describedby={by} className={`${INPUT_LOOK} ${className}`} {...input} />
      )}
    </Field>
  );
}
