import { useId, type ReactNode } from "react";

/** A labelled field with its complaint under it. */
export function Field({
  label,
  error,
  children,
}: {
  label: string;
  error?: string | undefined;
  children: (id: string, describedBy: string | undefined) => ReactNode;
}) {
  const id = useId();
  return (
    <div className="flex flex-col gap-1">
      <label htmlFor={id} className="text-sm text-soft">
        {label}
      </label>
      {children(id, error ? `${id}-error` : undefined)}
      {error && (
        <p id={`${id}-error`} role="alert" className="text-sm text-vermilion">
          {error}
        </p>
      )}
    </div>
  );
}

export const INPUT_LOOK =
  "min-h-11 rounded-sm border border-hairline bg-raised px-3 text-base focus-visible:border-velvet";
