import type { ComponentProps } from "react";
import { Dialog } from "radix-ui";
import { Digit } from "../../score/marks/digit";
import { Button } from "../../ui/button";
import { BENCH_KEYS } from "./use-bench-keys";

/** All keys, and what the signs on a digit mean. */
export function KeysDialog({ open, onOpen }: { open: boolean; onOpen: (open: boolean) => void }) {
  return (
    <Dialog.Root open={open} onOpenChange={onOpen}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-black/40" />
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed top-1/2 left-1/2 z-40 max-h-[90dvh] w-[min(44rem,92vw)] -translate-x-1/2 -translate-y-1/2 overflow-auto border border-hairline bg-paper p-6"
        >
          <Dialog.Title className="font-serif text-2xl">Keys of the Bench</Dialog.Title>
          <dl className="mt-3 grid grid-cols-[auto_1fr] gap-x-6 text-sm">
            {BENCH_KEYS.map(([key, what]) => (
              <div key={key} className="col-span-2 grid grid-cols-subgrid border-b border-hairline py-1.5">
                <dt className="font-medium whitespace-nowrap">{key}</dt>
                <dd>{what}</dd>
              </div>
            ))}
          </dl>
          <h3 className="mt-5 font-serif text-lg">Digits on the score</h3>
          <ul className="mt-1 flex flex-wrap gap-x-6 text-sm">
            {SIGNS.map(([name, sign]) => (
              <li key={name} className="flex items-center gap-1">
                <svg width={26} height={26} aria-hidden>
                  <Digit {...PLAIN} {...sign} />
                </svg>
                {name}
              </li>
            ))}
          </ul>
          <Dialog.Close asChild>
            <Button className="mt-5">Close</Button>
          </Dialog.Close>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}

const PLAIN: ComponentProps<typeof Digit> = {
  note: "" as never,
  layer: "",
  text: "3",
  x: 13,
  y: 18,
  size: 15,
  pinned: false,
  marked: false,
  printed: false,
  changed: false,
  suggested: false,
  strong: true,
  chosen: false,
};

const SIGNS: readonly (readonly [string, Partial<typeof PLAIN>])[] = [
  ["worked out", {}],
  ["pinned", { pinned: true }],
  ["as in the score that came", { printed: true }],
  ["changed since the option was made", { changed: true }],
  ["differing", { marked: true }],
  ["as a remedy would have it, not chosen yet", { suggested: true }],
];
