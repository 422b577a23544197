"use client";

import { Dialog } from "radix-ui";
import { useState } from "react";
import { Button } from "../ui/button";
import { Field, INPUT_LOOK } from "../ui/field";
import { renameTo, type Named } from "./belonging-changes";

/** Asks for another title. What goes by a letter or a date may be left without one. */
export function RenameDialog({ of, onDone }: { of: Named; onDone: () => void }) {
  const [title, setTitle] = useState(of.title ?? "");
  const [busy, setBusy] = useState(false);
  const mayBeEmpty = of.kind === "option" || of.kind === "measurement";
  const written = title.trim();
  const keep = async (): Promise<void> => {
    setBusy(true);
    if (await renameTo(of, written === "" ? null : written)) onDone();
    setBusy(false);
  };
  return (
    <Dialog.Root open onOpenChange={(open) => !open && onDone()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-black/40" />
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed top-1/2 left-1/2 z-40 w-[min(26rem,92vw)] -translate-x-1/2 -translate-y-1/2 border border-hairline bg-paper p-6"
        >
          <Dialog.Title className="font-serif text-2xl">Rename {of.called}</Dialog.Title>
          <form
            className="mt-3 flex flex-col gap-4"
            onSubmit={(event) => {
              event.preventDefault();
              void keep();
            }}
          >
            <Field label={mayBeEmpty ? "A name of your own, or none" : "Name"}>
              {(id) => (
                <input
                  id={id}
                  className={INPUT_LOOK}
                  value={title}
                  maxLength={120}
                  onChange={(event) => setTitle(event.target.value)}
                />
              )}
            </Field>
            <div className="flex gap-3">
              <Button type="submit" look="main" disabled={busy || (written === "" && !mayBeEmpty)}>
                Keep the name
              </Button>
              <Button look="quiet" onClick={onDone}>
                Leave it
              </Button>
            </div>
          </form>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
