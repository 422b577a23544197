"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import { upload } from "../keeping/upload";
import { INPUT_LOOK } from "../ui/field";

/** What came of an archive that was taken in. */
interface TakenIn {
  readonly player: string;
  readonly added: number;
  readonly there: number;
  readonly leftOut: number;
}

/** Takes an archive in: what is there already stays as it is. */
export function ArchiveIn() {
  const router = useRouter();
  const [busy, setBusy] = useState(false);
  const [said, say] = useState<{ readonly isWrong: boolean; readonly text: string } | null>(null);
  const take = async (file: File | undefined): Promise<void> => {
    if (!file) return;
    setBusy(true);
    say(null);
    const form = new FormData();
    form.append("file", file);
    const answer = await upload<TakenIn>("/players/archive", form);
    setBusy(false);
    if (!answer.ok) return say({ isWrong: true, text: answer.message });
    say({ isWrong: false, text: cameSaid(answer.value) });
    router.refresh();
  };
  return (
    <section aria-label="Archive" className="mt-8 max-w-prose text-sm">
      <h2 className="font-serif text-xl">Archive</h2>
      <p>
        An archive is one file with everything of a player: scores, hands, passages with all their options, takes, what
        was felt, and the diary. It is made only when you ask for it, and can be read without this program.
      </p>
      <label className="mt-3 flex flex-col gap-1">
        <span className="text-soft">Bring in an archive</span>
        <input
          type="file"
          accept=".zip"
          disabled={busy}
          className={`${INPUT_LOOK} py-2`}
          onChange={({ target }) => {
            void take(target.files?.[0]);
            target.value = "";
          }}
        />
      </label>
      {busy && (
        <p role="status" className="mt-2">
          Reading the archive…
        </p>
      )}
      {said && (
        <p role={said.isWrong ? "alert" : "status"} className="mt-2">
          {said.text}
        </p>
      )}
    </section>
  );
}

/** What came of it, in a sentence or two. */
export function cameSaid({ player, added, there, leftOut }: TakenIn): string {
  const came =
    added === 0
      ? `Everything of ${player} was here already.`
      : `${player} is here: ${added} ${added === 1 ? "thing" : "things"} came in${there > 0 ? `, ${there} were here already and stay as they are` : ""}.`;
  return leftOut === 0 ? came : `${came} ${leftOut} found no room beside what is here.`;
}
