"use client";

import { useCallback, useEffect, useState } from "react";
import { toast } from "sonner";
import { NO_FILM_MARKS, type FilmMarks } from "@/core/film/film-marks";
import { keepFilmMarks } from "@/server/actions";
import type { FilmData } from "@/server/types";
import { ask } from "../keeping/ask";
import { openFilm, type FilmSource } from "./film-source";

/** The film on the desk: its pictures, what is marked in it, and whether it is kept. */
export interface FilmOnDesk {
  readonly source: FilmSource | null;
  readonly marks: FilmMarks;
  /** Kept with the passage; null while it is in this browser alone. */
  readonly kept: FilmData | null;
  setMarks(marks: FilmMarks): void;
  /** Opens a file of the player's own: it stays in the browser. */
  open(file: File): void;
  /** Opens one that is kept. */
  openKept(film: FilmData): void;
  /** Back to the clip that is drawn. */
  openDrawn(): void;
  /** Keeps the file with the passage, because the player asks for it; null where there is no file. */
  readonly keep: (() => void) | null;
}

interface Opened {
  readonly source: FilmSource;
  readonly file: File | null;
}

/** @param drawn the clip that the program draws; null until there is a plan */
export function useFilm(passageId: string, drawn: FilmSource | null, onKept: (film: FilmData) => void): FilmOnDesk {
  const [opened, setOpened] = useState<Opened | null>(null);
  const [shown, show] = useState<FilmMarks | null>(null);
  const [kept, setKept] = useState<FilmData | null>(null);
  useEffect(() => () => opened?.source.close(), [opened]);
  const marks = shown ?? (opened || !drawn ? NO_FILM_MARKS : { ...NO_FILM_MARKS, keys: drawn.keys });
  const put = useCallback((next: Opened | null, with_: FilmMarks | null, as: FilmData | null) => {
    setOpened(next);
    show(with_);
    setKept(as);
  }, []);
  const open = async (file: File, with_: FilmMarks, as: FilmData | null): Promise<void> => {
    try {
      put({ source: await openFilm(file, file.name), file: as ? null : file }, with_, as);
    } catch (error) {
      toast.error(error instanceof Error ? error.message : String(error));
    }
  };
  const keep = async (file: File): Promise<void> => {
    const form = new FormData();
    form.append("file", file);
    const answer = await fetch(`/film/${passageId}/keep`, { method: "POST", body: form });
    const said = (await answer.json()) as FilmData & { readonly message?: string };
    if (!answer.ok) return void toast.error(said.message ?? "It could not be kept.");
    setKept(said);
    onKept({ ...said, marks });
    void ask(`film ${said.id}`, () => keepFilmMarks({ id: said.id, marks }));
  };
  return {
    source: opened?.source ?? drawn,
    marks,
    kept,
    setMarks(next) {
      show(next);
      if (kept) void ask(`film ${kept.id}`, () => keepFilmMarks({ id: kept.id, marks: next }));
    },
    open: (file) => void open(file, NO_FILM_MARKS, null),
    openKept: (film) =>
      void fetch(`/film/${passageId}/${film.id}`)
        .then((answer) => answer.blob())
        .then((blob) => open(new File([blob], film.name, { type: film.type }), film.marks, film))
        .catch(() => toast.error(`${film.name} could not be read.`)),
    openDrawn: () => put(null, null, null),
    keep: opened?.file && !kept ? () => void keep(opened.file!) : null,
  };
}
