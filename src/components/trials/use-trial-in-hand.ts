"use client";

import { useCallback, useEffect, useMemo, useState } from "react";
import { soundsOf } from "@/core/fingering/study/sounding";
import type { Step } from "@/core/fingering/study/steps";
import type { Judged, Study } from "@/core/fingering/study/study";
import { mapOf, type TrialMap } from "@/core/trials/map";
import type { CleanRule } from "@/core/trials/clean";
import { expectedOf } from "@/core/trials/expected";
import type { PlanMarks } from "@/core/motion/marks/plan-marks";
import type { Take } from "@/core/trials/take";
import { callClean } from "@/server/actions";
import type { HaltData, OptionData, TakeData } from "@/server/types";
import type { PlayerSettings } from "../playing/use-player";
import type { Drawn } from "../score/drawn";
import type { LaneId } from "../score/plan/lane";
import { musicOf } from "../playing/music";
import { clicksOf, scheduleOfTake } from "./heard-again";
import { mapLanes } from "./map-lanes";
import { takeLanes } from "./take-lanes";
import { ask } from "../keeping/ask";
import { worstOf } from "../keeping/sending";
import { useKeeping } from "../keeping/use-keeping";
import { isOwn } from "./own-takes";
import { useHalt } from "./use-halt";
import { useSnip } from "./use-snip";
import { useTakes, type TakesInHand } from "./use-takes";
import { useTakeOnKeys } from "./use-take-on-keys";
import { useSounding } from "../playing/use-sounding";
import { useTrial } from "./use-trial";

interface Asked {
  readonly passageId: string;
  readonly study: Study;
  readonly tempo: number;
  /** What is sounded to a hand that plays. */
  readonly sounded: PlayerSettings;
  readonly option: OptionData | undefined;
  /** Whether the trials are looked at. */
  readonly isShown: boolean;
  readonly player: { readonly id: string };
  readonly steps: readonly Step[];
  readonly judged: Judged | undefined;
  readonly halted: HaltData | null;
  /** What the player makes of the plan: where time is free among it. */
  readonly marks: PlanMarks;
  /** The study that plans are told apart by. */
  readonly given: unknown;
  readonly cleanRule: CleanRule;
}

/** The trials of a passage: the one that is played, the take that is looked at and how it is drawn and heard. */
export function useTrialInHand({
  passageId,
  study,
  tempo,
  sounded,
  option,
  isShown,
  player,
  halted,
  steps,
  judged,
  marks,
  given,
  cleanRule,
}: Asked) {
  const { free } = marks;
  const halt = useHalt(player.id, halted);
  const isHalted = halt.halt !== null;
  const takes = useTakes(passageId, isShown);
  const { sound, stop, isSounding, position } = useSounding();
  const onBegin = useCallback(
    (simulated: Take | null) => {
      if (simulated) sound(scheduleOfTake(simulated, []), simulated.tempo);
      else if (sounded.countIn || sounded.click) sound(clicksOf(musicOf(study, steps), sounded), tempo);
    },
    [sound, sounded, study, steps, tempo],
  );
  const { rule, setRule, keeping } = useCleanRule(player.id, cleanRule, takes);
  const by = useMemo(() => ({ free, rule }), [free, rule]);
  const onsets = useMemo(() => expectedOf(study), [study]);
  const snip = useSnip(onsets);
  const click = sounded.click;
  const trial = useTrial({ study, tempo, click, snip, by, option, takes, onBegin, onEnd: stop, isHalted });
  useEffect(() => {
    if (isHalted) stop();
  }, [isHalted, stop]);
  const { told, other } = trial;
  const isHeard = isSounding && trial.phase === "idle" && told !== null;
  const onKeys = useTakeOnKeys({ told: isShown ? told : null, study, steps, marks, given, isHeard, position });
  const [folded, fold] = useState<readonly LaneId[]>([]);
  const map = useMap(takes.takes, option?.id, steps, judged);
  const [isMapped, setMapped] = useState(false);
  const drawn = useMemo((): Pick<Drawn, "plan" | "astray"> | null => {
    const lanes = [
      ...takeLanes([
        ...(told ? [{ name: "this take", report: told.report, tempo: told.take.tempo }] : []),
        ...(told && other ? [{ name: "the other", report: other.report, tempo: other.take.tempo }] : []),
      ]),
      ...(map && isMapped ? mapLanes(map) : []),
    ].filter(({ id }) => !folded.includes(id));
    if (!isShown || (lanes.length === 0 && !told)) return null;
    const onFold = (lane: LaneId): void => fold((all) => [...all, lane]);
    return { plan: { lanes, signs: [], onFold }, ...(told ? { astray: told.report.marks } : {}) };
  }, [told, other, isShown, folded, map, isMapped]);
  const hear = useCallback(
    (withScore: boolean) => {
      if (isSounding) stop();
      else if (told) sound(scheduleOfTake(told.take, withScore ? soundsOf(study) : []), told.take.tempo || tempo);
    },
    [isSounding, stop, told, sound, study, tempo],
  );
  return {
    ...{
      passageId,
      playerId: player.id,
      halt,
      trial,
      takes,
      snip,
      rule,
      setRule,
      map,
      isMapped,
      setMapped,
      drawn,
      hear,
    },
    ...{ hearing: isHeard, onKeys, keeping: worstOf([takes.keeping, halt.keeping, keeping]) },
  };
}

export type TrialInHand = ReturnType<typeof useTrialInHand>;

/** What the player calls clean; changed, every take counts by it. */
function useCleanRule(playerId: string, given: CleanRule, takes: TakesInHand) {
  const [rule, show] = useState(given);
  const place = `clean ${playerId}`;
  const { reload } = takes;
  const setRule = useCallback(
    (next: CleanRule | null): void => {
      const asked = { playerId, rule: next };
      void ask(place, () => callClean(asked)).then((kept) => {
        if (!kept) return;
        show(kept);
        reload();
      });
    },
    [place, playerId, reload],
  );
  return { rule, setRule, keeping: useKeeping(place) };
}

/** The map of the player's own takes of an option; null where there are none. */
function useMap(
  takes: readonly TakeData[] | null,
  optionId: string | undefined,
  steps: readonly Step[],
  judged: Judged | undefined,
): TrialMap | null {
  return useMemo(() => {
    const own = takes?.filter((t) => isOwn(t) && t.fingeringId === optionId) ?? [];
    return judged && own.length > 0 ? mapOf(steps, judged, own) : null;
  }, [takes, optionId, steps, judged]);
}
