"use client";

import { useCallback, useEffect, useMemo, useState } from "react";
import type { Day } from "@/core/time/days";
import { inTheFingers, standingOf, type Standing } from "@/core/verdict/standing";
import { decide, practise } from "@/server/actions";
import type { PassageData, VerdictData } from "@/server/types";
import { outbox, type Keeping } from "../keeping/outbox";
import { pendingIn } from "../keeping/pending";

/** An event on its way to the server. */
export interface VerdictSent {
  readonly id: string;
  readonly kind: VerdictData["kind"];
  readonly fingeringId: string | null;
  readonly reason: string;
  readonly author: string;
  readonly decideOn: Day | null;
  readonly reviewAfter: number | null;
}

export interface VerdictInHand {
  readonly events: readonly VerdictData[];
  readonly standing: Standing;
  /** The option in the fingers now. */
  readonly known: string | null;
  readonly practisedToday: boolean;
  readonly keeping: Keeping;
  readonly complaint: string | undefined;
  say(event: Partial<VerdictSent> & Pick<VerdictSent, "kind">): void;
  practise(practised: boolean): void;
  complain(words: string): void;
}

/** What was decided about a passage, as the page holds it; what was on its way when it was closed is sent again. */
export function useVerdict(data: PassageData, author: string): VerdictInHand {
  const [events, setEvents] = useState(data.verdicts);
  const [practised, setPractised] = useState(data.practised);
  const [keeping, setKeeping] = useState<Keeping>("kept");
  const [complaint, complain] = useState<string | undefined>();
  const pending = useMemo(() => pendingIn<VerdictSent>(`verdict ${data.id}`), [data.id]);
  const box = useMemo(() => outbox(setKeeping, (ms) => new Promise((resolve) => setTimeout(resolve, ms))), []);
  const passageId = data.id;

  const send = useCallback(
    (event: VerdictSent) => {
      pending.put(event);
      box.send(async () => {
        const answer = await decide({ ...event, passageId });
        pending.remove(event.id);
        if (answer.ok) setEvents(answer.value);
        else complain(answer.message);
      });
    },
    [box, pending, passageId],
  );
  useEffect(() => {
    for (const event of pending.all()) send(event);
  }, [pending, send]);

  return {
    events,
    standing: standingOf(events, practised, data.today),
    known: inTheFingers(events),
    practisedToday: practised.includes(data.today),
    keeping,
    complaint,
    complain,
    say(event) {
      complain(undefined);
      const usual = { fingeringId: null, reason: "", author, decideOn: null, reviewAfter: null };
      send({ ...usual, ...event, id: crypto.randomUUID() });
    },
    practise(isPractised) {
      box.send(async () => {
        const answer = await practise({ passageId, day: data.today, practised: isPractised });
        if (answer.ok) setPractised(answer.value);
        else complain(answer.message);
      });
    },
  };
}
