"use client";

import { useCallback, useEffect, useMemo, useRef } from "react";
import type { Study } from "@/core/fingering/study/study";
import { expectedOf } from "@/core/trials/expected";
import type { Take } from "@/core/trials/take";
import type { PassageData } from "@/server/types";
import { scheduleOfTake } from "../trials/heard-again";
import { takenOr } from "../passage-in-hand/taken";
import { useSounding } from "../playing/use-sounding";
import { useSnip } from "../trials/use-snip";
import type { TakesInHand } from "../trials/use-takes";
import { useTrial, type Trial } from "../trials/use-trial";

interface Asked {
  readonly data: PassageData;
  readonly study: Study;
  readonly tempo: number;
  readonly click: boolean;
  readonly takes: TakesInHand;
  readonly isHalted: boolean;
  /** Told of every take of the player's own once it has been read. */
  readonly onRead: (clean: boolean) => void;
}

/** A take of the whole passage at the ladder's tempo, from the practice desk. The simulated piano may play it, and moves nothing. */
export function usePracticeTake({ data, study, tempo, click, takes, isHalted, onRead }: Asked): Trial {
  const { sound, stop } = useSounding();
  const onsets = useMemo(() => expectedOf(study), [study]);
  const snip = useSnip(onsets);
  const by = useMemo(
    () => ({ free: data.planMarks.free, rule: data.cleanRule }),
    [data.planMarks.free, data.cleanRule],
  );
  const onBegin = useCallback(
    (simulated: Take | null) => {
      if (simulated) sound(scheduleOfTake(simulated, []), simulated.tempo);
    },
    [sound],
  );
  const option = takenOr(data);
  const trial = useTrial({ study, tempo, click, snip, by, option, takes, onBegin, onEnd: stop, isHalted });
  const read = useRef<string | null>(null);
  const tell = useRef(onRead);
  useEffect(() => {
    tell.current = onRead;
  });
  const { told } = trial;
  useEffect(() => {
    if (!told || told.id === read.current) return;
    read.current = told.id;
    if (told.take.source !== "simulated piano") tell.current(told.report.clean);
  }, [told]);
  return trial;
}
