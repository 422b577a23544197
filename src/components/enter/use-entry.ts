"use client";

import { useRouter } from "next/navigation";
import { useCallback, useEffect, useReducer, useRef, useState } from "react";
import { EMPTY_BAR, type Changed, type Cursor, type Entry } from "@/core/entry/entry";
import { keepEntered } from "@/server/actions";
import { send as sendTo, settled, type Keeping } from "../keeping/sending";
import { useKeeping } from "../keeping/use-keeping";
import { history, type History, type Making, type Walk } from "./history";
import { newId } from "../new-id";

/** What a page for entering begins with. */
export interface Begun {
  readonly pieceId: string | null;
  readonly entry: Entry | null;
  /** A sign of what the server holds. */
  readonly seen: string | null;
}

export interface EntryInHand {
  /** The name under which it is kept. */
  pieceId(): string;
  readonly entry: Entry;
  readonly cursor: Cursor;
  readonly complaint: string | null;
  readonly keeping: Keeping;
  /** What another window has kept meanwhile; null as long as nothing was. */
  readonly theirs: Entry | null;
  readonly canUndo: boolean;
  readonly canRedo: boolean;
  change(making: Making): void;
  go(to: (entry: Entry, cursor: Cursor) => Cursor): void;
  walk(way: Walk): void;
  afresh(): void;
  takeTheirs(): void;
  keepMine(): void;
  /** Resolves when all is kept. */
  settled(): Promise<void>;
}

const NEW: Entry = { title: "", fifths: 0, time: [4, 4], tempo: 80, bars: [EMPTY_BAR] };
const START: Cursor = { bar: 0, voice: 0, at: 0 };
const BLANK: Changed = { entry: NEW, cursor: START, complaint: null };
/** ms without a change before it is sent. */
const RESTS = 400;

/** What is kept in the browser of an entry that has changes on their way. */
interface Draft {
  readonly pieceId: string;
  readonly entry: Entry;
  readonly seen: string | null;
}

/** Music being entered by a player: every change can be undone, stands in the browser at once and on the server soon after. */
export function useEntry(playerId: string, begun: Begun): EntryInHand {
  const router = useRouter();
  const place = `velvet-thumb entry ${begun.pieceId ?? `new of ${playerId}`}`;
  const [state, dispatch] = useReducer(history, begun, ({ entry }): History => ({
    past: [],
    now: { ...BLANK, entry: entry ?? NEW },
    future: [],
  }));
  const sending = `entry ${begun.pieceId ?? "new"}`;
  const keeping = useKeeping(sending);
  const [theirs, setTheirs] = useState<{ readonly entry: Entry; readonly seen: string } | null>(null);
  const named = useRef(begun.pieceId);
  /** By piece, a sign of what the server holds. */
  const seen = useRef(new Map<string | null, string | null>([[begun.pieceId, begun.seen]]));
  const { entry } = state.now;
  const [sent, setSent] = useState(entry);

  useEffect(() => {
    const draft = draftIn(place);
    named.current ??= draft?.pieceId ?? newId();
    if (!draft) return;
    seen.current.set(draft.pieceId, draft.seen);
    dispatch({ kind: "change", made: { ...BLANK, entry: draft.entry } });
  }, [place]);

  const send = useCallback(
    (given: Entry) => {
      const pieceId = named.current;
      const asked = { pieceId, playerId, entry: titled(given) };
      const call = () => keepEntered({ ...asked, seen: seen.current.get(pieceId) ?? null });
      void sendTo(sending, call).then((answer) => {
        if (!answer.ok) return dispatch({ kind: "complain", words: answer.message });
        const { outcome, entry: kept, seen: sign } = answer.value;
        if (outcome === "outdated") return setTheirs({ entry: kept, seen: sign });
        seen.current.set(pieceId, sign);
        if (pieceId !== named.current) return;
        localStorage.removeItem(place);
        if (begun.pieceId === null) window.history.replaceState(null, "", `/enter/${pieceId}`);
      });
    },
    [sending, place, begun.pieceId, playerId],
  );
  useEffect(() => {
    if (entry === sent || !named.current || theirs || !hasNotes(entry)) return;
    const draft: Draft = { pieceId: named.current, entry, seen: seen.current.get(named.current) ?? null };
    localStorage.setItem(place, JSON.stringify(draft));
    const soon = setTimeout(() => {
      setSent(entry);
      send(entry);
    }, RESTS);
    return () => clearTimeout(soon);
  }, [entry, sent, place, theirs, send]);

  return {
    pieceId: () => named.current ?? "",
    ...state.now,
    keeping: entry !== sent && hasNotes(entry) && keeping === "kept" ? "keeping" : keeping,
    theirs: theirs?.entry ?? null,
    canUndo: state.past.length > 0,
    canRedo: state.future.length > 0,
    change: (making) => dispatch({ kind: "make", making }),
    go: (cursor) => dispatch({ kind: "go", cursor }),
    walk: (way) => dispatch({ kind: "walk", way }),
    afresh() {
      // What has changes on their way stays kept in the browser under its own name.
      if (begun.pieceId !== null) return router.push("/enter");
      if (entry !== sent && hasNotes(entry)) send(entry);
      window.history.replaceState(null, "", "/enter");
      localStorage.removeItem(place);
      setSent(NEW);
      named.current = newId();
      dispatch({ kind: "change", made: BLANK });
    },
    takeTheirs() {
      if (!theirs) return;
      seen.current.set(named.current, theirs.seen);
      setSent(theirs.entry);
      localStorage.removeItem(place);
      dispatch({ kind: "change", made: { ...BLANK, entry: theirs.entry } });
      setTheirs(null);
    },
    keepMine() {
      if (!theirs) return;
      seen.current.set(named.current, theirs.seen);
      setTheirs(null);
      setSent(entry);
      send(entry);
    },
    async settled() {
      if (entry !== sent) {
        setSent(entry);
        send(entry);
      }
      await settled(sending);
    },
  };
}

function hasNotes({ bars }: Entry): boolean {
  return bars.some((bar) => bar.some((items) => items.some((item) => item.pitches.length > 0)));
}

/** A piece is kept before it has a name. */
function titled(entry: Entry): Entry {
  return entry.title.trim() === "" ? { ...entry, title: "Without a name" } : entry;
}

function draftIn(place: string): Draft | null {
  try {
    return JSON.parse(localStorage.getItem(place) ?? "null") as Draft | null;
  } catch {
    return null;
  }
}
