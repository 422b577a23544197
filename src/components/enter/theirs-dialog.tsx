import { AlertDialog } from "radix-ui";
import { Button } from "../ui/button";

/** Asks what to do when another window has changed the same piece; nothing is overwritten before the answer. */
export function TheirsDialog({ onTheirs, onMine }: { onTheirs: () => void; onMine: () => void }) {
  return (
    <AlertDialog.Root open>
      <AlertDialog.Portal>
        <AlertDialog.Overlay className="fixed inset-0 bg-black/40" />
        <AlertDialog.Content className="fixed top-1/2 left-1/2 w-[min(32rem,92vw)] -translate-x-1/2 -translate-y-1/2 border border-hairline bg-paper p-6">
          <AlertDialog.Title className="font-serif text-2xl">
            These notes were changed in another window
          </AlertDialog.Title>
          <AlertDialog.Description className="mt-1 text-soft">
            Nothing of either is overwritten yet. Going on from the other one leaves what stands here in the undo steps
            of this window.
          </AlertDialog.Description>
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
