import { counted } from "@/core/counted";
import { differences } from "@/core/fingering/study/fingering";
import type { NoteId } from "@/core/passage/note";
import { EitherDialog } from "../keeping/either-dialog";
import type { Outdated } from "./options/held-options";

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
    <EitherDialog
      title={`Option ${theirs.name} was changed in another window`}
      description={`Both versions are shown, and where they differ, on ${counted(differing.size, "note")}, is marked. Neither is lost: the one you leave stays in the history.`}
      wide
      onTheirs={onTheirs}
      onMine={onMine}
    >
      <Version label={`There, version ${theirs.version}`} notes={notes} digits={theirs.digits} differing={differing} />
      <Version label="Here" notes={notes} digits={mine.digits} differing={differing} />
    </EitherDialog>
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
