"use client";

import { RadioGroup } from "radix-ui";
import type { PassageData } from "@/server/types";
import { useStored } from "../../keeping/use-stored";
import { Button } from "../../ui/button";
import { Field, INPUT_LOOK } from "../../ui/field";
import type { VerdictInHand } from "./use-verdict";

interface Props {
  readonly data: PassageData;
  readonly inHand: VerdictInHand;
  readonly author: string;
}

/** What is being written down, kept in the browser until it is sent. */
interface Draft {
  readonly choice: string;
  readonly reason: string;
  readonly by: string;
  /** Practice days until it is looked at again; empty for never. */
  readonly review: string;
}

const BLANK: Draft = { choice: "", reason: "", by: "", review: "7" };

/** Taking one option, with the reason, whose word it is, and when to look at it again. */
export function VerdictForm({ data, inHand, author }: Props) {
  const [draft, setDraft] = useStored<Draft>(`verdict draft ${data.id}`, BLANK);
  const set = (part: Partial<Draft>): void => setDraft({ ...draft, ...part });
  const { choice, reason, by, review } = draft;
  return (
    <form
      className="flex flex-col gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        if (!choice) return inHand.complain("Choose the option that is taken.");
        if (!reason.trim()) return inHand.complain("Write down why, in a few words.");
        const reviewAfter = review.trim() === "" ? null : Number(review);
        if (reviewAfter !== null && !(Number.isInteger(reviewAfter) && reviewAfter >= 1 && reviewAfter <= 365))
          return inHand.complain("A review comes after 1 to 365 practice days, or never where it is left empty.");
        const taken = { kind: "taken", fingeringId: choice, reason, author: by.trim() || author, reviewAfter } as const;
        // What was written stays until it is kept.
        void inHand.say(taken).then((isKept) => isKept && setDraft(BLANK));
      }}
    >
      <RadioGroup.Root
        value={choice}
        onValueChange={(next) => set({ choice: next })}
        aria-label="Option taken"
        className="flex gap-2"
      >
        {data.options.map((option) => (
          <RadioGroup.Item
            key={option.id}
            value={option.id}
            aria-label={`Take option ${option.name}`}
            className="size-11 rounded-sm border border-hairline font-serif text-lg italic data-[state=checked]:border-2 data-[state=checked]:border-velvet data-[state=checked]:font-bold"
          >
            {option.name}
          </RadioGroup.Item>
        ))}
      </RadioGroup.Root>
      <Field label="Why" error={inHand.complaint}>
        {(id, describedBy) => (
          <textarea
            id={id}
            aria-describedby={describedBy}
            rows={2}
            maxLength={2000}
            value={reason}
            onChange={(e) => set({ reason: e.target.value })}
            className={`${INPUT_LOOK} py-2`}
          />
        )}
      </Field>
      <div className="grid grid-cols-2 gap-3">
        <Field label="Whose word">
          {(id) => (
            <input
              id={id}
              value={by}
              maxLength={120}
              placeholder={author}
              onChange={(e) => set({ by: e.target.value })}
              className={`${INPUT_LOOK} w-full`}
            />
          )}
        </Field>
        <Field label="Review after, practice days">
          {(id) => (
            <input
              id={id}
              inputMode="numeric"
              value={review}
              onChange={(e) => set({ review: e.target.value })}
              className={`${INPUT_LOOK} w-full`}
            />
          )}
        </Field>
      </div>
      <Button type="submit" look="main">
        Take it
      </Button>
    </form>
  );
}
