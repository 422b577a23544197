"use client";

import type { ReactNode } from "react";
import { setTime } from "@/core/entry/changes";
import type { Entry } from "@/core/entry/entry";
import { TEMPO_RANGE } from "@/core/passage/passage";
import { Button } from "../ui/button";
import { Field, INPUT_LOOK } from "../ui/field";
import type { EntryInHand } from "./use-entry";
import { signatureText } from "../ui/signature-text";

const TIMES: readonly Entry["time"][] = [
  [2, 4],
  [3, 4],
  [4, 4],
  [5, 4],
  [2, 2],
  [3, 2],
  [3, 8],
  [6, 8],
  [9, 8],
  [12, 8],
];

const KEYS = Array.from({ length: 15 }, (_, i) => i - 7);

/** Name, key, time and tempo of the music. */
export function EntrySettings({ inHand, children }: { inHand: EntryInHand; children: ReactNode }) {
  const { entry, change, afresh } = inHand;
  const set = (part: Partial<Entry>): void =>
    change((now, cursor) => ({ entry: { ...now, ...part }, cursor, complaint: null }));
  return (
    <div className="flex flex-wrap items-end gap-3 py-2">
      <Field label="Name">
        {(id) => (
          <input
            id={id}
            value={entry.title}
            maxLength={120}
            onChange={(event) => set({ title: event.target.value })}
            className={`${INPUT_LOOK} w-64`}
          />
        )}
      </Field>
      <Field label="Key signature">
        {(id) => (
          <select
            id={id}
            value={entry.fifths}
            onChange={(event) => set({ fifths: Number(event.target.value) })}
            className={INPUT_LOOK}
          >
            {KEYS.map((fifths) => (
              <option key={fifths} value={fifths}>
                {signatureText(fifths)}
              </option>
            ))}
          </select>
        )}
      </Field>
      <Field label="Time">
        {(id) => (
          <select
            id={id}
            value={entry.time.join("/")}
            onChange={(event) => {
              const found = TIMES.find((t) => t.join("/") === event.target.value);
              if (found) change((now, cursor) => setTime(now, cursor, found));
            }}
            className={INPUT_LOOK}
          >
            {TIMES.map((time) => (
              <option key={time.join("/")}>{time.join("/")}</option>
            ))}
          </select>
        )}
      </Field>
      <Field label="Tempo, ♩ a minute">
        {(id) => (
          <input
            id={id}
            type="number"
            value={entry.tempo}
            min={TEMPO_RANGE[0]}
            max={TEMPO_RANGE[1]}
            onChange={(event) => {
              const tempo = Number(event.target.value);
              if (tempo >= TEMPO_RANGE[0] && tempo <= TEMPO_RANGE[1]) set({ tempo });
            }}
            className={`${INPUT_LOOK} w-24`}
          />
        )}
      </Field>
      <div className="ml-auto flex gap-2">
        {children}
        <Button look="quiet" onClick={afresh}>
          Begin another
        </Button>
      </div>
    </div>
  );
}
