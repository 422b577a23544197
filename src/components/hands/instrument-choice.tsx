"use client";

import { zodResolver } from "@hookform/resolvers/zod";
import { useState } from "react";
import { useForm } from "react-hook-form";
import { z } from "zod";
import { KEYBOARD } from "@/core/physics";
import { newInstrument, useInstrument as takeUp } from "@/server/actions";
import type { InstrumentData } from "@/server/types";
import { BelongingMenu } from "../belongings/belonging-menu";
import { ask } from "../keeping/ask";
import { send } from "../keeping/sending";
import { Button } from "../ui/button";
import { Field, INPUT_LOOK } from "../ui/field";
import { NumberField } from "../ui/number-field";
import { newId } from "../new-id";

const [LEAST, MOST] = KEYBOARD.octaveWidthRange;

const InstrumentForm = z.object({
  name: z.string().trim().min(1, "Give the instrument a name."),
  octaveWidth: z
    .number({ error: "Say the octave width in millimetres." })
    .min(LEAST, `An octave is at least ${LEAST} mm wide.`)
    .max(MOST, `An octave is at most ${MOST} mm wide.`),
});

/** Which instrument every answer is for, and adding another. */
export function InstrumentChoice({
  playerId,
  instruments,
}: {
  playerId: string;
  instruments: readonly InstrumentData[];
}) {
  const [adding, setAdding] = useState(false);
  const used = instruments[0]!;
  const choose = async (id: string): Promise<void> => {
    if (id === "") return setAdding(true);
    const asked = { id, request: newId() };
    await ask("instruments", () => takeUp(asked));
  };
  return (
    <div className="flex flex-wrap items-end gap-3">
      <label className="flex items-center gap-2 text-sm">
        Instrument
        <select className={INPUT_LOOK} value={used.id ?? "none"} onChange={(e) => void choose(e.target.value)}>
          {instruments.map(({ id, name, octaveWidth }) => (
            <option key={id} value={id ?? "none"}>
              {name}, octave {octaveWidth} mm
            </option>
          ))}
          <option value="">Another instrument…</option>
        </select>
      </label>
      {used.id !== null && (
        <BelongingMenu of={{ kind: "instrument", id: used.id, title: used.name, called: used.name }} />
      )}
      {adding && <NewInstrument playerId={playerId} onDone={() => setAdding(false)} />}
    </div>
  );
}

function NewInstrument({ playerId, onDone }: { playerId: string; onDone: () => void }) {
  const [id, renew] = useState(() => newId());
  const {
    register,
    handleSubmit,
    setError,
    formState: { errors, isSubmitting },
  } = useForm({
    resolver: zodResolver(InstrumentForm),
    defaultValues: { name: "", octaveWidth: KEYBOARD.fullOctaveWidth as number },
  });
  const submit = handleSubmit(async (values) => {
    const answer = await send("instruments", () => newInstrument({ id, playerId, ...values }));
    renew(newId());
    if (answer.ok) onDone();
    else setError("root", { message: answer.message });
  });
  return (
    <form
      onSubmit={(event) => void submit(event)}
      noValidate
      aria-label="Another instrument"
      className="flex flex-wrap items-end gap-3"
    >
      <Field label="Name" error={errors.name?.message}>
        {(field, by) => <input id={field} aria-describedby={by} className={INPUT_LOOK} {...register("name")} />}
      </Field>
      <NumberField
        label="C to C, mm"
        error={errors.octaveWidth?.message ?? errors.root?.message}
        step="0.1"
        className="w-28"
        {...register("octaveWidth", { valueAsNumber: true })}
      />
      <Button type="submit" look="main" disabled={isSubmitting}>
        Add
      </Button>
      <Button look="quiet" onClick={onDone}>
        Not now
      </Button>
    </form>
  );
}
