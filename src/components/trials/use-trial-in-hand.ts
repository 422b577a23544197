"use client";

import { useCallback, useEffect, useMemo, useRef, useState } from "react";
import { soundsOf } from "@/core/fingering/study/sounding";
import type { Step } from "@/core/fingering/study/steps";
import type { Judged, Study } from "@/core/fingering/study/study";
import { mapOf, type TrialMap } from "@/core/trials/map";
import type { Take } from "@/core/trials/take";
import type { HaltData, OptionData, TakeData } from "@/server/types";
import { startPlaying, type Playing } from "../playing/sound";
import type { Drawn } from "../score/drawn";
import type { LaneId } from "../score/plan/lane";
import { scheduleOfTake } from "./heard-again";
import { mapLanes } from "./map-lanes";
import { takeLanes } from "./take-lanes";
import { useHalt } from "./use-halt";
import { useTakes } from "./use-takes";
import { useTrial } from "./use-trial";

interface Asked {
  readonly passageId: string;
  readonly study: Study;
  readonly tempo: number;
  readonly click: boolean;
  readonly option: OptionData | undefined;
  /** Whether the trials are looked at. */
  readonly isShown: boolean;
  readonly player: { readonly id: string };
  readonly steps: readonly Step[];
  readonly judged: Judged | undefined;
  readonly halted: HaltData | null;
}

/** The trials of a passage: the one that is played, the take that is looked at and how it is drawn and heard. */
export function useTrialInHand({
  passageId,
  study,
  tempo,
  click,
  option,
  isShown,
  player,
  halted,
  steps,
  judged,
}: Asked) {
  const halt = useHalt(player.id, halted);
  const isHalted = halt.halt !== null;
  const takes = useTakes(passageId, isShown);
  const { sound, stop, isSounding } = useSound(tempo);
  const onBegin = useCallback((simulated: Take | null) => void (simulated && sound(simulated, [])), [sound]);
  const trial = useTrial({ study, tempo, click, option, takes, onBegin, isHalted });
  useEffect(() => {
    if (isHalted) stop();
  }, [isHalted, stop]);
  const { told } = trial;
  const [folded, fold] = useState<readonly LaneId[]>([]);
  const map = useMap(takes.takes, option?.id, steps, judged);
  const [isMapped, setMapped] = useState(false);
  const drawn = useMemo((): Pick<Drawn, "plan" | "astray"> | null => {
    const lanes = [
      ...(told ? takeLanes(told.report, told.take.tempo) : []),
      ...(map && isMapped ? mapLanes(map) : []),
    ].filter(({ id }) => !folded.includes(id));
    if (!isShown || (lanes.length === 0 && !told)) return null;
    const onFold = (lane: LaneId): void => fold((all) => [...all, lane]);
    return { plan: { lanes, signs: [], onFold }, ...(told ? { astray: told.report.marks } : {}) };
  }, [told, isShown, folded, map, isMapped]);
  const hear = useCallback(
    (withScore: boolean) => {
      if (isSounding) stop();
      else if (told) sound(told.take, withScore ? soundsOf(study) : []);
    },
    [isSounding, stop, told, sound, study],
  );
  return { halt, trial, takes, map, isMapped, setMapped, drawn, hear, hearing: isSounding && trial.phase === "idle" };
}

export type TrialInHand = ReturnType<typeof useTrialInHand>;

/** The map of the player's own takes of an option; null where there are none. */
function useMap(
  takes: readonly TakeData[] | null,
  optionId: string | undefined,
  steps: readonly Step[],
  judged: Judged | undefined,
): TrialMap | null {
  return useMemo(() => {
    const own = takes?.filter((t) => t.fingeringId === optionId && t.source !== "simulated piano") ?? [];
    return judged && own.length > 0 ? mapOf(steps, judged, own) : null;
  }, [takes, optionId, steps, judged]);
}

/** Lets a take be heard, one at a time. */
function useSound(tempo: number) {
  const [isSounding, setSounding] = useState(false);
  const playing = useRef<Playing | null>(null);
  const begun = useRef(0);
  const stop = useCallback(() => {
    begun.current++;
    playing.current?.stop();
    playing.current = null;
    setSounding(false);
  }, []);
  useEffect(() => stop, [stop]);
  const sound = useCallback(
    (take: Take, score: Parameters<typeof scheduleOfTake>[1]) => {
      stop();
      const ticket = ++begun.current;
      setSounding(true);
      const isWanted = (): boolean => begun.current === ticket;
      const at = take.tempo || tempo;
      startPlaying(
        scheduleOfTake(take, score),
        () => at,
        false,
        () => isWanted() && stop(),
        isWanted,
      ).then(
        (now) => {
          if (now === null) return;
          if (isWanted()) playing.current = now;
          else now.stop();
        },
        () => isWanted() && stop(),
      );
    },
    [stop, tempo],
  );
  return { sound, stop, isSounding };
}
