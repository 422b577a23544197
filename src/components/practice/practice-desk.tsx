"use client";

import Link from "next/link";
import type { PassageData, PracticeStand } from "@/server/types";
import { PassageTitle } from "../passage-in-hand/passage-title";
import { HaltButton, HaltNotice } from "../trials/halt";
import { KeepingState } from "../keeping/keeping-state";
import { Button, buttonLook } from "../ui/button";
import { BlockBanner } from "./block-banner";
import { ClickPanel } from "./click-panel";
import { CountPanel } from "./count-panel";
import { DrillList } from "./drill-list";
import { DrillOnDesk } from "./drill-on-desk";
import { FarDesk } from "./far-desk";
import { changeSaid, LadderPanel } from "./ladder-panel";
import { AIM_SAID, KEYS_SAID } from "./said";
import { TakePanel } from "./take-panel";
import { secondsOf } from "./use-drills";
import { leaveToKeys } from "./use-hands-free";
import { usePracticeDesk } from "./use-practice-desk";

interface Props {
  readonly data: PassageData;
  readonly stand: PracticeStand;
}

/** The next ten minutes of a passage: a drill made out of it, the ladder it is taken up, and the count of good plays. */
export function PracticeDesk({ data, stand: given }: Props) {
  const desk = usePracticeDesk(data, given);
  const { halt, drills, ladder, count, click, take, isFar, setFar } = desk;
  const { drill } = drills;
  if (drill && isFar && !halt.halt)
    return (
      <FarDesk
        desk={desk}
        drill={drill}
        fifths={drills.fifths}
        aim={AIM_SAID[given.block?.doing ?? "learn"]}
        onLeave={() => setFar(false)}
      />
    );
  return (
    <div>
      <PassageTitle data={data}>
        <KeepingState keeping={desk.keeping} />
        <HaltButton halt={halt} />
        {drill && <Button onClick={() => setFar(true)}>From a metre away</Button>}
        <Link href={`/diary?passage=${data.id}`} className={buttonLook()}>
          Story
        </Link>
        <Link href={`/bench/${data.id}`} className={buttonLook()}>
          Bench
        </Link>
      </PassageTitle>
      <HaltNotice halt={halt} />
      {halt.halt ? (
        <p role="status" className="mt-3 max-w-prose">
          Nothing is proposed until you say that you are playing again.
        </p>
      ) : !drill ? (
        <p className="mt-6 max-w-prose">There is nothing here to make a drill of yet: the passage has no fingering.</p>
      ) : (
        <div className="grid gap-6 lg:grid-cols-[1fr_20rem]">
          <div className="min-w-0 lg:sticky lg:top-(--header) lg:self-start">
            {given.block && (
              <BlockBanner block={given.block} playerId={data.player.id} tempo={desk.reached} count={desk.counted} />
            )}
            <DrillOnDesk
              key={drill.id}
              drill={drill}
              fifths={drills.fifths}
              isWorked={drills.isWorked}
              onWorked={drills.work}
              change={ladder.lastChange && changeSaid(ladder.lastChange, data.today)}
            />
          </div>
          <aside className="flex flex-col gap-5 text-sm print:hidden" onClick={leaveToKeys}>
            <LadderPanel ladder={ladder} />
            <CountPanel count={count} seconds={secondsOf(drill)} />
            <p className="text-soft">{KEYS_SAID}</p>
            <TakePanel trial={take} isAsking={desk.isAsking} onFelt={desk.feel} onSkip={desk.skip} />
            <ClickPanel click={click} />
            <DrillList proposed={drills.proposed} all={drills.all} chosen={drill.id} onChoose={drills.choose} />
          </aside>
        </div>
      )}
    </div>
  );
}
