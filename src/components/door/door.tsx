"use client";

import { useState } from "react";
import { Button } from "../ui/button";
import { Field, INPUT_LOOK } from "../ui/field";

/** Asks for the passphrase, where Velvet Thumb answers to other machines. */
export function Door() {
  const [said, say] = useState("");
  const [busy, setBusy] = useState(false);
  const [complaint, complain] = useState<string | undefined>();
  const knock = async (): Promise<void> => {
    setBusy(true);
    complain(undefined);
    try {
      const headers = { "content-type": "application/json" };
      const answer = await fetch("/door/knock", { method: "POST", headers, body: JSON.stringify({ said }) });
      if (answer.ok) return comeIn();
      complain(((await answer.json()) as { message: string }).message);
    } catch {
      complain("The server does not answer.");
    }
    setBusy(false);
  };
  return (
    <form
      className="mx-auto flex max-w-sm flex-col gap-4 py-16"
      onSubmit={(event) => {
        event.preventDefault();
        void knock();
      }}
    >
      <h1 className="font-serif text-3xl">Who is there?</h1>
      <Field label="Passphrase" error={complaint}>
        {(id, by) => (
          <input
            id={id}
            type="password"
            autoComplete="current-password"
            aria-describedby={by}
            value={said}
            onChange={(event) => say(event.target.value)}
            className={INPUT_LOOK}
          />
        )}
      </Field>
      <Button type="submit" look="main" disabled={busy || said === ""}>
        Come in
      </Button>
    </form>
  );
}

/** Loads the front page anew: what was fetched ahead at the door leads back to it. */
function comeIn(): void {
  window.location.replace(new URL("/", window.location.href));
}
