import { AlertDialog } from "radix-ui";
import type { ReactNode } from "react";
import { Button } from "../ui/button";

interface Props {
  readonly title: string;
  readonly description: string;
  readonly wide?: boolean;
  readonly onTheirs: () => void;
  readonly onMine: () => void;
  /** What there is to see of the two. */
  readonly children?: ReactNode;
}

/** Asks which of two states to go on from, when another window has changed the same thing meanwhile. */
export function EitherDialog({ title, description, wide = false, onTheirs, onMine, children }: Props) {
  return (
    <AlertDialog.Root open>
      <AlertDialog.Portal>
        <AlertDialog.Overlay className="fixed inset-0 z-40 bg-black/40" />
        <AlertDialog.Content
          className={`fixed top-1/2 left-1/2 z-40 max-h-[90dvh] -translate-x-1/2 -translate-y-1/2 overflow-auto border border-hairline bg-paper p-6 ${wide ? "w-[min(46rem,92vw)]" : "w-[min(32rem,92vw)]"}`}
        >
          <AlertDialog.Title className="font-serif text-2xl">{title}</AlertDialog.Title>
          <AlertDialog.Description className="mt-1 text-soft">{description}</AlertDialog.Description>
          {children}
          <div className="mt-5 flex flex-wrap gap-3">
            <AlertDialog.Cancel asChild>
              <Button onClick={onTheirs}>Go on from the one there</Button>
            </AlertDialog.Cancel>
            <AlertDialog.Action asChild>
              <Button look="main" onClick={onMine}>
                Keep the one here
              </Button>
            </AlertDialog.Action>
          </div>
        </AlertDialog.Content>
      </AlertDialog.Portal>
    </AlertDialog.Root>
  );
}
