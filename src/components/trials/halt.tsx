"use client";

import { format } from "date-fns";
import { Dialog } from "radix-ui";
import { useState } from "react";
import { HALT_SIGNS } from "@/core/trials/felt";
import { Button } from "../ui/button";
import type { HaltInHand } from "./use-halt";

/** Always in sight: says that something is wrong, and ends what is being played. */
export function HaltButton({ halt }: { readonly halt: HaltInHand }) {
  const [isOpen, setOpen] = useState(false);
  if (halt.halt) return null;
  return (
    <Dialog.Root open={isOpen} onOpenChange={setOpen}>
      <Dialog.Trigger asChild>
        <Button look="quiet" className="px-2!">
          It hurts
        </Button>
      </Dialog.Trigger>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-black/40" />
        <Dialog.Content className="fixed top-1/2 left-1/2 z-40 w-[min(30rem,92vw)] -translate-x-1/2 -translate-y-1/2 border border-hairline bg-paper p-6">
          <Dialog.Title className="font-serif text-2xl">Stop here</Dialog.Title>
          <Dialog.Description className="mt-1 text-sm text-soft">
            What is it? One tap ends this session. What you say stays in your own database.
          </Dialog.Description>
          <ul className="mt-3 flex flex-col gap-1">
            {HALT_SIGNS.map((sign) => (
              <li key={sign}>
                <Button
                  className="w-full justify-start!"
                  onClick={() => {
                    halt.stop(sign);
                    setOpen(false);
                  }}
                >
                  {sign[0]!.toUpperCase() + sign.slice(1)}
                </Button>
              </li>
            ))}
          </ul>
          <Dialog.Close asChild>
            <Button look="quiet" className="mt-3">
              None of these
            </Button>
          </Dialog.Close>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}

/** Said once and calmly, until the player lifts it. */
export function HaltNotice({ halt: { halt, lift } }: { readonly halt: HaltInHand }) {
  if (!halt) return null;
  return (
    <section
      aria-label="Stopped"
      className="my-3 flex flex-wrap items-center gap-x-4 gap-y-2 border-l-2 border-ink pl-4"
    >
      <p className="max-w-prose">
        You stopped on {format(new Date(halt.since), "d MMMM")}: {halt.sign}. Rest, and see a clinician who treats
        musicians. Nothing is proposed to be played until you say so.
      </p>
      <Button onClick={lift}>I am playing again</Button>
    </section>
  );
}
