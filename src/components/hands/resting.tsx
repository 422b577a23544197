"use client";

import { zodResolver } from "@hookform/resolvers/zod";
import { addWeeks, formatISO, parseISO } from "date-fns";
import { useForm } from "react-hook-form";
import { z } from "zod";
import { FINGERS, type Finger } from "@/core/hand/finger";
import { beginRest, finishRest } from "@/server/actions";
import type { RestData } from "@/server/types";
import { ask } from "../keeping/ask";
import { noticeWithUndo } from "../keeping/notice-with-undo";
import { send } from "../keeping/sending";
import { Button } from "../ui/button";
import { Field, INPUT_LOOK } from "../ui/field";
import { dayText } from "./dates";
import { restText } from "./rest-text";
import { newId } from "../new-id";

const RestForm = z.object({
  side: z.enum(["right", "left"]),
  fingers: z.array(z.string()).min(1, "Say which fingers are resting."),
  reason: z.string().trim().min(1, "Write down why, in a few words."),
  reviewOn: z.iso.date("Say on which day you will look at it again."),
});

/** Weeks until a rest is looked at again, if nothing else is said. */
const USUAL_WEEKS = 2;

/** What is resting now, and marking more. */
export function Resting({ playerId, rests, today }: { playerId: string; rests: readonly RestData[]; today: string }) {
  return (
    <section aria-label="Resting">
      <h2 className="font-serif text-xl">Resting</h2>
      {rests.length === 0 && <p className="text-sm text-soft">Every finger may play.</p>}
      <ul className="text-sm">
        {rests.map((rest) => (
          <li key={rest.id} className="flex items-center gap-3 border-b border-hairline py-1">
            <span className="flex-1">
              <b className="font-medium">{restText(rest)}</b>: {rest.reason}.{" "}
              {rest.reviewOn < today
                ? `You wanted to look at it again on ${dayText(rest.reviewOn)}.`
                : `To be looked at again on ${dayText(rest.reviewOn)}.`}
            </span>
            <Button onClick={() => void end(rest)}>Plays again</Button>
          </li>
        ))}
      </ul>
      <details className="mt-2">
        <summary className="min-h-11 cursor-pointer py-2.5 text-sm">Mark fingers or a whole hand as resting</summary>
        <NewRest playerId={playerId} today={today} />
      </details>
      <p className="mt-1 max-w-prose text-xs text-soft">
        Pain, numbness, tingling or loss of control: stop, rest, and see a clinician who treats musicians. What you
        write here stays in your own database.
      </p>
    </section>
  );
}

async function end(rest: RestData): Promise<void> {
  const change = (ended: boolean) => {
    const asked = { id: rest.id, request: newId(), ended };
    return ask("rests", () => finishRest(asked));
  };
  if (!(await change(true))) return;
  noticeWithUndo(`${restText(rest)} may play again.`, () => void change(false));
}

function NewRest({ playerId, today }: { playerId: string; today: string }) {
  const {
    register,
    handleSubmit,
    reset,
    setError,
    setValue,
    formState: { errors, isSubmitting },
  } = useForm({
    resolver: zodResolver(RestForm),
    defaultValues: {
      side: "right" as const,
      fingers: [] as string[],
      reason: "",
      reviewOn: formatISO(addWeeks(parseISO(today), USUAL_WEEKS), { representation: "date" }),
    },
  });
  const submit = handleSubmit(async ({ fingers, ...asked }) => {
    const rest = { id: newId(), playerId, ...asked, fingers: fingers.map(Number) as Finger[] };
    const answer = await send("rests", () => beginRest(rest));
    if (answer.ok) reset();
    else setError("root", { message: answer.message });
  });
  return (
    <form onSubmit={(event) => void submit(event)} noValidate aria-label="Resting" className="grid max-w-xl gap-3">
      <div className="flex flex-wrap items-end gap-x-4 gap-y-2">
        <Field label="Hand">
          {(id) => (
            <select id={id} className={INPUT_LOOK} {...register("side")}>
              <option value="right">Right hand</option>
              <option value="left">Left hand</option>
            </select>
          )}
        </Field>
        <fieldset className="flex flex-wrap gap-x-3">
          <legend className="text-sm text-soft">Fingers</legend>
          {FINGERS.map((finger) => (
            <label key={finger} className="flex min-h-11 items-center gap-1.5">
              <input type="checkbox" value={finger} className="size-5 accent-velvet" {...register("fingers")} />{" "}
              {finger}
            </label>
          ))}
          <Button look="quiet" onClick={() => setValue("fingers", FINGERS.map(String), { shouldValidate: true })}>
            Whole hand
          </Button>
        </fieldset>
      </div>
      {errors.fingers && (
        <p role="alert" className="text-sm text-vermilion">
          {errors.fingers.message}
        </p>
      )}
      <Field label="Why" error={errors.reason?.message}>
        {(id, by) => <input id={id} aria-describedby={by} className={INPUT_LOOK} {...register("reason")} />}
      </Field>
      <Field label="To be looked at again on" error={errors.reviewOn?.message}>
        {(id, by) => (
          <input id={id} type="date" aria-describedby={by} className={INPUT_LOOK} {...register("reviewOn")} />
        )}
      </Field>
      {errors.root && (
        <p role="alert" className="text-sm text-vermilion">
          {errors.root.message}
        </p>
      )}
      <Button type="submit" look="main" disabled={isSubmitting}>
        Mark as resting
      </Button>
    </form>
  );
}
