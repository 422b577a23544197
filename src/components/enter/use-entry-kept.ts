"use client";

import { useRouter } from "next/navigation";
import { useCallback, useEffect, useRef, useState } from "react";
import type { Entry } from "@/core/entry/entry";
import { keepEntered } from "@/server/actions";
import { send as sendTo, settled, type Keeping } from "../keeping/sending";
import { useKeeping } from "../keeping/use-keeping";
import { newId } from "../new-id";
import { NEW_ENTRY } from "./new-entry";

/** What a page for entering begins with. */
export interface Begun {
  readonly pieceId: string | null;
  readonly entry: Entry | null;
  /** A sign of what the server holds. */
  readonly seen: string | null;
}

export interface EntryKept {
  /** The name under which it is kept. */
  pieceId(): string;
  readonly keeping: Keeping;
  /** What another window has kept meanwhile; null as long as nothing was. */
  readonly theirs: Entry | null;
  afresh(): void;
  takeTheirs(): void;
  keepMine(): void;
  /** Resolves when all is kept. */
  settled(): Promise<void>;
}

/** What happens to the entry on the page. */
interface OnPage {
  /** Shows another entry in its place, as something that can be undone. */
  show(entry: Entry): void;
  complain(words: string): void;
}

/** ms without a change before it is sent. */
const RESTS = 400;

/** What is kept in the browser of an entry that has changes on their way. */
interface Draft {
  readonly pieceId: string;
  readonly entry: Entry;
  readonly seen: string | null;
}

/**
 * Keeps what is being entered: in the browser at once, on the server soon after.
 * @param playerId whose the piece is, or will be
 * @param page a page that stays the same
 */
export function useEntryKept(playerId: string, begun: Begun, entry: Entry, page: OnPage): EntryKept {
  const router = useRouter();
  const place = `velvet-thumb entry ${begun.pieceId ?? `new of ${playerId}`}`;
  const sending = `entry ${begun.pieceId ?? "new"}`;
  const keeping = useKeeping(sending);
  const [theirs, setTheirs] = useState<{ readonly entry: Entry; readonly seen: string } | null>(null);
  const named = useRef(begun.pieceId);
  /** By piece, a sign of what the server holds. */
  const seen = useRef(new Map<string | null, string | null>([[begun.pieceId, begun.seen]]));
  const [sent, setSent] = useState(entry);

  useEffect(() => {
    const draft = draftIn(place);
    named.current ??= draft?.pieceId ?? newId();
    if (!draft) return;
    seen.current.set(draft.pieceId, draft.seen);
    page.show(draft.entry);
  }, [place, page]);

  const send = useCallback(
    (given: Entry) => {
      setSent(given);
      const pieceId = named.current;
      const asked = { pieceId, playerId, entry: titled(given) };
      const call = () => keepEntered({ ...asked, seen: seen.current.get(pieceId) ?? null });
      void sendTo(sending, call).then((answer) => {
        if (!answer.ok) return page.complain(answer.message);
        const { outcome, entry: kept, seen: sign } = answer.value;
        if (outcome === "outdated") return setTheirs({ entry: kept, seen: sign });
        seen.current.set(pieceId, sign);
        if (pieceId !== named.current) return;
        localStorage.removeItem(place);
        if (begun.pieceId === null) window.history.replaceState(null, "", `/enter/${pieceId}`);
      });
    },
    [sending, place, begun.pieceId, playerId, page],
  );
  useEffect(() => {
    if (entry === sent || !named.current || theirs || !hasNotes(entry)) return;
    const draft: Draft = { pieceId: named.current, entry, seen: seen.current.get(named.current) ?? null };
    localStorage.setItem(place, JSON.stringify(draft));
    const soon = setTimeout(() => send(entry), RESTS);
    return () => clearTimeout(soon);
  }, [entry, sent, place, theirs, send]);

  return {
    pieceId: () => named.current ?? "",
    keeping: entry !== sent && hasNotes(entry) && keeping === "kept" ? "keeping" : keeping,
    theirs: theirs?.entry ?? null,
    afresh() {
      // What has changes on their way stays kept in the browser under its own name.
      if (begun.pieceId !== null) return router.push("/enter");
      if (entry !== sent && hasNotes(entry)) send(entry);
      window.history.replaceState(null, "", "/enter");
      localStorage.removeItem(place);
      setSent(NEW_ENTRY);
      named.current = newId();
      page.show(NEW_ENTRY);
    },
    takeTheirs() {
      if (!theirs) return;
      seen.current.set(named.current, theirs.seen);
      setSent(theirs.entry);
      localStorage.removeItem(place);
      page.show(theirs.entry);
      setTheirs(null);
    },
    keepMine() {
      if (!theirs) return;
      seen.current.set(named.current, theirs.seen);
      setTheirs(null);
      send(entry);
    },
    async settled() {
      if (entry !== sent) send(entry);
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
