"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import type { DiaryData } from "@/server/types";
import { Button } from "../ui/button";
import { Field, INPUT_LOOK } from "../ui/field";

interface Props {
  readonly passages: DiaryData["passages"];
  readonly passageId: string | null;
  readonly words: string;
}

/** A passage's whole story, or the days that hold some words. */
export function DiarySearch({ passages, passageId, words }: Props) {
  const router = useRouter();
  const [typed, type] = useState(words);
  return (
    <form
      role="search"
      aria-label="Search the diary"
      className="flex flex-col gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        router.push(typed.trim() === "" ? "/diary" : `/diary?words=${encodeURIComponent(typed.trim())}`);
      }}
    >
      <Field label="Passage">
        {(id) => (
          <select
            id={id}
            className={INPUT_LOOK}
            value={passageId ?? ""}
            onChange={({ target }) => router.push(target.value === "" ? "/diary" : `/diary?passage=${target.value}`)}
          >
            <option value="">All passages, day by day</option>
            {passages.map(({ id: of, title, piece }) => (
              <option key={of} value={of}>
                {title}, {piece}
              </option>
            ))}
          </select>
        )}
      </Field>
      <div className="flex items-end gap-2">
        <Field label="Days that hold the words">
          {(id) => (
            <input
              id={id}
              type="search"
              className={`${INPUT_LOOK} w-full`}
              value={typed}
              onChange={({ target }) => type(target.value)}
            />
          )}
        </Field>
        <Button type="submit">Find</Button>
      </div>
    </form>
  );
}
