import { Tabs } from "radix-ui";

interface Props<T extends string> {
  readonly label: string;
  readonly names: Readonly<Record<T, string>>;
  /** Tabs that something waits in. */
  readonly marked?: readonly T[];
}

/** The tabs over what they show, as wide as it together, in the order of their names. */
export function TabList<T extends string>({ label, names, marked = [] }: Props<T>) {
  return (
    <Tabs.List aria-label={label} className="flex border-b border-hairline text-sm">
      {(Object.entries(names) as [T, string][]).map(([name, words]) => (
        <Tabs.Trigger
          key={name}
          value={name}
          className="min-h-11 flex-1 text-soft data-[state=active]:text-ink data-[state=active]:shadow-[inset_0_-3px_0_var(--velvet)]"
        >
          {words}
          {marked.includes(name) ? " !" : ""}
        </Tabs.Trigger>
      ))}
    </Tabs.List>
  );
}
