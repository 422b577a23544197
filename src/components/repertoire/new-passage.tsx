"use client";

import { counted } from "@/core/counted";
import { zodResolver } from "@hookform/resolvers/zod";
import { useRouter } from "next/navigation";
import { useEffect, useState, type FormEvent } from "react";
import { useForm, useWatch } from "react-hook-form";
import { z } from "zod";
import { TEMPO_RANGE } from "@/core/passage/passage";
import { newPassage } from "@/server/actions";
import type { PieceData } from "@/server/types";
import { send } from "../keeping/sending";
import { Button } from "../ui/button";
import { Field, INPUT_LOOK } from "../ui/field";
import { NumberField } from "../ui/number-field";
import { tempoSaid } from "./tempo-said";
import { newId } from "../new-id";

/** A hard spot is one to four bars, rarely more. */
const USUAL_LENGTH = 2;

function formSchema(bars: number) {
  const bar = z
    .number({ error: "Say the bar as a number." })
    .int("Bars are whole numbers.")
    .min(1, "The first bar is 1.")
    .max(bars, `The piece has ${counted(bars, "bar")}.`);
  return z
    .object({
      title: z.string().trim().min(1, "Give the passage a name."),
      fromBar: bar,
      toBar: bar,
      hands: z.enum(["right", "left", "both"]),
      tempo: z
        .number({ error: "Say the tempo as a number." })
        .min(TEMPO_RANGE[0], `At least ${TEMPO_RANGE[0]}.`)
        .max(TEMPO_RANGE[1], `At most ${TEMPO_RANGE[1]}.`),
      touch: z.enum(["legato", "detached"]),
      pedal: z.boolean(),
    })
    .refine((p) => p.toBar >= p.fromBar, { message: "The last bar comes before the first.", path: ["toBar"] });
}

interface Props {
  readonly piece: PieceData;
  /** A bar to begin at, 1 for the first, once one has been pointed at. */
  readonly from?: { readonly index: number } | null;
}

/** Choosing bars and hand of a new passage. Nothing typed is lost by a refusal. */
export function NewPassage({ piece, from = null }: Props) {
  const { form, said, submit, complaint } = useNewPassage(piece, from);
  const { register, errors, isSubmitting } = form;
  return (
    <form onSubmit={submit} noValidate aria-label="New passage" className="flex flex-col gap-3">
      <h2 className="font-serif text-xl">A new passage</h2>
      <Field label="Name" error={errors.title?.message}>
        {(id, by) => (
          <input
            id={id}
            aria-describedby={by}
            aria-invalid={by !== undefined}
            className={INPUT_LOOK}
            {...register("title")}
          />
        )}
      </Field>
      <div className="grid grid-cols-2 gap-3">
        <NumberField
          label="From bar"
          error={errors.fromBar?.message}
          {...register("fromBar", { valueAsNumber: true })}
        />
        <NumberField label="To bar" error={errors.toBar?.message} {...register("toBar", { valueAsNumber: true })} />
      </div>
      <Field label="Hands">
        {(id) => (
          <select id={id} className={INPUT_LOOK} {...register("hands")}>
            <option value="right">Right hand</option>
            <option value="left">Left hand</option>
            {piece.staves > 1 && <option value="both">Both hands</option>}
          </select>
        )}
      </Field>
      <NumberField
        label="Quarter notes a minute"
        error={errors.tempo?.message}
        {...register("tempo", { valueAsNumber: true })}
      />
      {said !== null && (
        <p className="-mt-2 text-xs text-soft">
          {said.source === null
            ? "The file states no tempo; this one is assumed."
            : `As the file states, ${said.source}.`}
        </p>
      )}
      <Field label="Touch">
        {(id) => (
          <select id={id} className={INPUT_LOOK} {...register("touch")}>
            <option value="legato">Legato</option>
            <option value="detached">Detached</option>
          </select>
        )}
      </Field>
      <label className="flex min-h-11 items-center gap-3 text-sm">
        <input type="checkbox" className="size-5 accent-velvet" {...register("pedal")} /> The pedal may carry notes on
      </label>
      {complaint && (
        <p role="alert" className="text-sm text-vermilion">
          {complaint}
        </p>
      )}
      <Button type="submit" look="main" disabled={isSubmitting}>
        Open on the Bench
      </Button>
    </form>
  );
}

/** The form: begun at the bar pointed at, with the tempo of the file until another is typed. */
function useNewPassage(piece: PieceData, from: Props["from"]) {
  const router = useRouter();
  const [complaint, setComplaint] = useState<string | null>(null);
  const {
    register,
    handleSubmit,
    getValues,
    setFocus,
    setValue,
    resetField,
    control,
    formState: { errors, isSubmitting, dirtyFields },
  } = useForm({
    resolver: zodResolver(formSchema(piece.bars.length)),
    defaultValues: {
      title: "",
      fromBar: 1,
      toBar: Math.min(USUAL_LENGTH, piece.bars.length),
      hands: piece.staves > 1 ? ("both" as const) : ("right" as const),
      tempo: tempoSaid(piece, 1).tempo,
      touch: "legato" as const,
      pedal: false,
    },
  });
  useEffect(() => {
    if (!from) return;
    setValue("fromBar", from.index);
    setValue("toBar", Math.min(from.index + USUAL_LENGTH - 1, piece.bars.length));
    if (getValues("title") === "") setValue("title", `From bar ${piece.bars[from.index - 1]}`);
    setFocus("title");
  }, [from, piece.bars, getValues, setFocus, setValue]);
  const said = tempoSaid(piece, useWatch({ control, name: "fromBar" }) || 1);
  // The tempo follows the bars until another is typed.
  const isTyped = dirtyFields.tempo === true;
  useEffect(() => {
    if (!isTyped) resetField("tempo", { defaultValue: said.tempo });
  }, [said.tempo, isTyped, resetField]);
  const [id, renew] = useState(() => newId());
  const keep = handleSubmit(async (values) => {
    setComplaint(null);
    const answer = await send(`passages of ${piece.id}`, () => newPassage({ ...values, id, pieceId: piece.id }));
    renew(newId());
    if (answer.ok) router.push(`/bench/${answer.value.passageId}`);
    else setComplaint(answer.message);
  });
  return {
    form: { register, errors, isSubmitting },
    /** The tempo that the file states there, and where it does; null where another was typed. */
    said: isTyped ? null : said,
    submit: (event: FormEvent) => void keep(event),
    complaint,
  };
}
