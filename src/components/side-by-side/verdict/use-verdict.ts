"use client";

import { useCallback, useEffect, useMemo, useState } from "react";
import type { Day } from "@/core/time/days";
import { inTheFingers, standingOf, type Standing } from "@/core/verdict/standing";
import { decide, practise } from "@/server/actions";
import type { PassageData, VerdictData } from "@/server/types";
import { pendingIn } from "../../keeping/pending";
import { send, type Keeping } from "../../keeping/sending";
import { useKeeping } from "../../keeping/use-keeping";
import { newId } from "../../new-id";

/** An event on its way to the server. */
interface VerdictSent {
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
  /** Resolves to whether it is kept. */
  say(event: Partial<VerdictSent> & Pick<VerdictSent, "kind">): Promise<boolean>;
  practise(practised: boolean): void;
  complain(words: string): void;
}

/** What was decided about a passage, as the page holds it; what was on its way when it was closed is sent again. */
export function useVerdict(data: PassageData, author: string): VerdictInHand {
  const [events, setEvents] = useState(data.verdicts);
  const [practised, setPractised] = useState(data.practised);
  const [complaint, complain] = useState<string | undefined>();
  const passageId = data.id;
  const place = `verdict ${passageId}`;
  const keeping = useKeeping(place);
  const pending = useMemo(() => pendingIn<VerdictSent>(place), [place]);

  const sendEvent = useCallback(
    async (event: VerdictSent): Promise<boolean> => {
      pending.put(event);
      const answer = await send(place, () => decide({ ...event, passageId }));
      if (answer.ok) setEvents(answer.value);
      else complain(answer.message);
      if (answer.ok || !answer.renewed) pending.remove(event.id);
      return answer.ok;
    },
    [place, pending, passageId],
  );
  useEffect(() => {
    const left = pending.all();
    queueMicrotask(() => left.forEach((event) => void sendEvent(event)));
  }, [pending, sendEvent]);

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
      return sendEvent({ ...usual, ...event, id: newId() });
    },
    practise(isPractised) {
      const asked = { id: newId(), passageId, day: data.today, practised: isPractised };
      void send(place, () => practise(asked)).then((answer) => {
        if (answer.ok) setPractised(answer.value);
        else complain(answer.message);
      });
    },
  };
}
