"use client";

import { zodResolver } from "@hookform/resolvers/zod";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { useForm, type FieldErrors, type UseFormRegister } from "react-hook-form";
import { z } from "zod";
import { HAND } from "@/core/physics";
import { beginPlaying } from "@/server/actions";
import { send } from "../keeping/sending";
import { newId } from "../new-id";
import { Button } from "../ui/button";
import { Field, INPUT_LOOK } from "../ui/field";
import { NumberField } from "../ui/number-field";

const [LEAST, MOST] = HAND.rulerSpanRange;

const Beginning = z
  .object({
    name: z.string().trim().min(1, "Say your name."),
    hand: z.enum(["both", "right", "left"]),
    rulerSpan: z
      .number({ error: "Say the span in millimetres." })
      .min(LEAST, `A span is at least ${LEAST} mm.`)
      .max(MOST, `A span is at most ${MOST} mm.`),
    title: z.string().trim(),
    heldOn: z.string(),
  })
  .refine(({ title, heldOn }) => title === "" || heldOn !== "", { path: ["heldOn"], message: "Say its day." })
  .refine(({ title, heldOn }) => heldOn === "" || title !== "", { path: ["title"], message: "Say what it is called." });

type BeginningTyped = z.input<typeof Beginning>;

/** A player's own beginning: a name, a hand, and a recital where there is one. */
export function BeginForm() {
  const router = useRouter();
  const [id] = useState(() => newId());
  const {
    register,
    handleSubmit,
    setError,
    formState: { errors, isSubmitting },
  } = useForm({
    resolver: zodResolver(Beginning),
    defaultValues: {
      name: "",
      hand: "both" as const,
      rulerSpan: undefined as unknown as number,
      title: "",
      heldOn: "",
    },
  });
  const submit = handleSubmit(async ({ title, heldOn, ...asked }) => {
    const recital = title === "" ? null : { title, heldOn };
    const answer = await send("players", () => beginPlaying({ id, ...asked, recital }));
    if (answer.ok) router.push("/");
    else setError("root", { message: answer.message });
  });
  return (
    <form onSubmit={(event) => void submit(event)} noValidate aria-label="Begin" className="flex flex-col gap-5">
      <Field label="Your name" error={errors.name?.message}>
        {(field, by) => (
          <input id={field} autoComplete="name" aria-describedby={by} className={INPUT_LOOK} {...register("name")} />
        )}
      </Field>
      <div className="flex flex-wrap gap-4">
        <Field label="Measured">
          {(field) => (
            <select id={field} className={INPUT_LOOK} {...register("hand")}>
              <option value="both">both hands, alike</option>
              <option value="right">the right hand</option>
              <option value="left">the left hand</option>
            </select>
          )}
        </Field>
        <NumberField
          label="Span on a ruler, mm"
          error={errors.rulerSpan?.message}
          inputMode="decimal"
          className="w-32"
          {...register("rulerSpan", { valueAsNumber: true })}
        />
      </div>
      <p className="-mt-3 max-w-prose text-sm text-soft">
        Lay the hand open on a ruler, without force: from the outer edge of the thumb to the outer edge of the little
        finger. A hand that is not measured is taken as a middle one. Everything finer can be measured later, at the
        keys.
      </p>
      <RecitalFields register={register} errors={errors} />
      {errors.root && (
        <p role="alert" className="text-sm text-vermilion">
          {errors.root.message}
        </p>
      )}
      <div>
        <Button type="submit" look="main" disabled={isSubmitting}>
          Begin
        </Button>
      </div>
    </form>
  );
}

/** The next recital, by its title and day. */
function RecitalFields({
  register,
  errors,
}: {
  register: UseFormRegister<BeginningTyped>;
  errors: FieldErrors<BeginningTyped>;
}) {
  return (
    <fieldset className="flex flex-wrap gap-4">
      <legend className="mb-1 text-sm">The next recital, if there is one</legend>
      <Field label="What it is called" error={errors.title?.message}>
        {(field, by) => <input id={field} aria-describedby={by} className={INPUT_LOOK} {...register("title")} />}
      </Field>
      <Field label="Day" error={errors.heldOn?.message}>
        {(field, by) => (
          <input id={field} type="date" aria-describedby={by} className={INPUT_LOOK} {...register("heldOn")} />
        )}
      </Field>
    </fieldset>
  );
}
