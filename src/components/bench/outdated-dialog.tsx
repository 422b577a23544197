import { AlertDialog } from "radix-ui";
import { differences } from "@/core/fingering/fingering";
import type { NoteId } from "@/core/passage/note";
import { Button } from "../ui/button";
import type { Outdated } from "./use-options";

/** Asks what to do when another window has changed the same option; nothing is overwritten before the answer. */
export function OutdatedDialog({
  outdated,
  notes,
  onTheirs,
  onMine,
}: {
  outdated: Outdated;
  notes: readonly NoteId[];
  onTheirs: () => void;
  onMine: () => void;
}) {
  const { theirs, mine } = outdated;
  const differing = new Set(differences(notes, theirs.digits, mine.digits));
  return (
    <AlertDialog.Root open>
      <AlertDialog.Portal>
        <AlertDialog.Overlay className="fixed inset-0 bg-black/40" />
        <AlertDialog.Content className="fixed top-1/2 left-1/2 max-h-[90dvh] w-[min(46rem,92vw)] -translate-x-1/2 -translate-y-1/2 overflow-auto border border-hairline bg-paper p-6">
          <AlertDialog.Title className="font-serif text-2xl">
            Option {theirs.name} was changed in another window
          </AlertDialog.Title>
          <AlertDialog.Description className="mt-1 text-soft">
            Both versions are shown, with the {differing.size} notes on which they differ marked. Neither is lost: the
            one you leave stays in the history.
          </AlertDialog.Description>
          <Version
            label={`There, version ${theirs.version}`}
            notes={notes}
            digits={theirs.digits}
            differing={differing}
          />
          <Version label="Here" notes={notes} digits={mine.digits} differing={differing} />
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

function Version({
  label,
  notes,
  digits,
  differing,
}: {
  label: string;
  notes: readonly NoteId[];
  digits: Outdated["theirs"]["digits"];
  differing: ReadonlySet<NoteId>;
}) {
  return (
    <div className="mt-4">
      <h3 className="text-sm text-soft">{label}</h3>
      <p className="flex flex-wrap gap-x-1.5 font-serif text-lg">
        {notes.map((id) => (
          <span key={id} className={differing.has(id) ? "border-b-2 border-ink font-bold" : ""}>
            {digits[id] ?? "–"}
          </span>
        ))}
      </p>
    </div>
  );
}
