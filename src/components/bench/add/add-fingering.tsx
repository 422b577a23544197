"use client";

import { counted } from "@/core/counted";
import { Plus } from "lucide-react";
import { Popover } from "radix-ui";
import { useRef, useState } from "react";
import { toast } from "sonner";
import { newTyped } from "@/server/actions";
import type { OptionData } from "@/server/types";
import { ask } from "../../keeping/ask";
import { upload } from "../../keeping/upload";
import { Button } from "../../ui/button";
import { newId } from "../../new-id";
import { capital } from "../../passage-in-hand/words";

interface Props {
  readonly passageId: string;
  readonly names: readonly string[];
  readonly onAdded: (options: readonly OptionData[], name: string) => void;
}

/** Differences between two editions that are said at once. */
const DIFFERENCES_SAID = 5;

/** Another person's fingering beside the others: its digits typed in, or taken from another file of the same passage. */
export function AddFingering({ passageId, names, onAdded }: Props) {
  const [author, setAuthor] = useState("");
  const [open, setOpen] = useState(false);
  const picker = useRef<HTMLInputElement>(null);
  const added = (options: readonly OptionData[]): void => {
    setOpen(false);
    setAuthor("");
    onAdded(options, options.find((o) => !names.includes(o.name))?.name ?? options.at(-1)!.name);
  };
  const type = async (): Promise<void> => {
    const asked = { id: newId(), passageId, author };
    const options = await ask(`passage ${passageId}`, () => newTyped(asked));
    if (options) added(options);
  };
  const take = async (file: File): Promise<void> => {
    const form = new FormData();
    form.set("file", file);
    const answer = await upload<{ options: OptionData[]; taken: number; missing: number; differences: string[] }>(
      `/passages/${passageId}/editions`,
      form,
    );
    if (!answer.ok) return void toast.error(answer.message);
    const { options, taken, missing: left, differences } = answer.value;
    added(options);
    const missing = left > 0 ? ` Not in that file: ${counted(left, "note")} of the passage.` : "";
    const said = differences.slice(0, DIFFERENCES_SAID).map((one) => `${capital(one)}.`);
    const more = differences.length > said.length ? [`And ${differences.length - said.length} more.`] : [];
    const description = said.length === 0 ? undefined : ["The editions differ.", ...said, ...more].join(" ");
    toast(`${counted(taken, "digit")} taken over.${missing}`, {
      description,
      duration: said.length > 0 ? 20_000 : 6000,
    });
  };
  return (
    <Popover.Root open={open} onOpenChange={setOpen}>
      <Popover.Trigger asChild>
        <Button className="self-start">
          <Plus size={16} aria-hidden /> Another fingering
        </Button>
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          align="start"
          sideOffset={4}
          className="z-40 flex w-72 flex-col gap-2 border border-hairline bg-paper p-4 text-sm"
        >
          <label className="flex flex-col gap-1">
            Whose it is
            <input
              value={author}
              maxLength={80}
              onChange={(event) => setAuthor(event.target.value)}
              placeholder="my teacher, an edition"
              className="min-h-11 border border-hairline bg-raised px-2"
            />
          </label>
          <Button onClick={() => void type()}>Type its digits under the notes</Button>
          <Button onClick={() => picker.current?.click()}>Take them from another file…</Button>
          <input
            ref={picker}
            type="file"
            accept=".musicxml,.mxl,.xml"
            aria-label="File with another fingering of this passage"
            className="sr-only"
            tabIndex={-1}
            onChange={(event) => {
              const file = event.target.files?.[0];
              event.target.value = "";
              if (file) void take(file);
            }}
          />
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
