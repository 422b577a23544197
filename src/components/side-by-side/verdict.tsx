"use client";

import { format, parseISO } from "date-fns";
import { RadioGroup } from "radix-ui";
import { useMemo, useState } from "react";
import { decide } from "@/server/actions";
import type { PassageData, VerdictData } from "@/server/types";
import { KeepingState } from "../bench/keeping-state";
import { outbox, type Keeping } from "../bench/outbox";
import { Button } from "../ui/button";
import { Field, INPUT_LOOK } from "../ui/field";

/** Taking one option, with the reason; what was decided before stays readable, and a verdict can be reopened. */
export function Verdict({ data, author }: { data: PassageData; author: string }) {
  const [events, setEvents] = useState(data.verdicts);
  const [keeping, setKeeping] = useState<Keeping>("kept");
  const [complaint, setComplaint] = useState<string | undefined>();
  const [choice, setChoice] = useState("");
  const [reason, setReason] = useState("");
  const box = useMemo(() => outbox(setKeeping, (ms) => new Promise((resolve) => setTimeout(resolve, ms))), []);
  const last = events.at(-1);
  const name = (id: string | null): string => data.options.find((o) => o.id === id)?.name ?? "?";

  const send = (event: Pick<VerdictData, "kind" | "fingeringId" | "reason">): void => {
    const asked = { ...event, id: crypto.randomUUID(), passageId: data.id, author };
    setComplaint(undefined);
    box.send(async () => {
      const answer = await decide(asked);
      if (!answer.ok) return setComplaint(answer.message);
      setEvents(answer.value);
      if (event.kind === "taken") setReason("");
    });
  };

  return (
    <section aria-label="Verdict">
      <div className="flex items-baseline justify-between">
        <h2 className="font-serif text-xl">Verdict</h2>
        <KeepingState keeping={keeping} />
      </div>
      {last?.kind === "taken" ? (
        <div className="mt-1 border-l-2 border-velvet pl-3">
          <p>
            Option <span className="font-serif text-lg italic">{name(last.fingeringId)}</span> is taken.
          </p>
          <p className="font-serif italic">{last.reason}</p>
          <p className="text-sm text-soft">
            {last.author}, {format(parseISO(last.at), "d MMM yyyy, HH:mm")}
          </p>
          <Button className="mt-2" onClick={() => send({ kind: "reopened", fingeringId: null, reason: "" })}>
            Reopen
          </Button>
        </div>
      ) : (
        <form
          className="mt-1 flex flex-col gap-3"
          onSubmit={(event) => {
            event.preventDefault();
            if (!choice) return setComplaint("Choose the option that is taken.");
            send({ kind: "taken", fingeringId: choice, reason });
          }}
        >
          <RadioGroup.Root value={choice} onValueChange={setChoice} aria-label="Option taken" className="flex gap-2">
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
          <Field label="Why" error={complaint}>
            {(id, by) => (
              <textarea
                id={id}
                aria-describedby={by}
                rows={3}
                maxLength={2000}
                value={reason}
                onChange={(e) => setReason(e.target.value)}
                className={`${INPUT_LOOK} py-2`}
              />
            )}
          </Field>
          <Button type="submit" look="main">
            Take it
          </Button>
        </form>
      )}
      {events.length > 1 && <History events={events.slice(0, last?.kind === "taken" ? -1 : undefined)} name={name} />}
    </section>
  );
}

function History({ events, name }: { events: readonly VerdictData[]; name: (id: string | null) => string }) {
  return (
    <ol aria-label="Earlier verdicts" className="mt-3 text-sm text-soft">
      {[...events].reverse().map((event, i) => (
        <li key={i} className="border-t border-hairline py-1">
          {format(parseISO(event.at), "d MMM, HH:mm")}:{" "}
          {event.kind === "taken" ? `${name(event.fingeringId)} taken, ${event.reason}` : "reopened"}
        </li>
      ))}
    </ol>
  );
}
