import type { ReactNode } from "react";

interface Props {
  /** What stands above the list, and names the region. */
  readonly title: string;
  readonly name: string;
  /** The entries, each an li with its key. */
  readonly children: readonly ReactNode[];
}

/** How many are told at once, first to last. */
const SHOWN_AT_ONCE = 4;

/** A part of the figures: its first entries, and the rest behind their number. */
export function FoldedList({ title, name, children }: Props) {
  const [first, more] = [children.slice(0, SHOWN_AT_ONCE), children.slice(SHOWN_AT_ONCE)];
  return (
    <section aria-label={name} className="border-t border-hairline pt-1">
      <h4>{title}</h4>
      <ul>{first}</ul>
      {more.length > 0 && (
        <details>
          <summary className="min-h-11 cursor-pointer py-2.5 pl-3 text-soft">{more.length} more</summary>
          <ul>{more}</ul>
        </details>
      )}
    </section>
  );
}
