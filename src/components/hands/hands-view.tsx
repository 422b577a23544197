"use client";

import Link from "next/link";
import { useMemo, useState } from "react";
import type { PairMeasured } from "@/core/hand/measured";
import { instrument } from "@/core/keyboard/instrument";
import type { HandsData } from "@/server/types";
import { buttonLook } from "../ui/button";
import { Choice } from "../ui/choice";
import { Allowed } from "./allowed";
import { HandForm } from "./hand-form";
import { History } from "./history";
import { InstrumentChoice } from "./instrument-choice";
import { OpenHands } from "./open-hands";
import { OwnFigures } from "./own-figures";
import { Resting } from "./resting";
import { useHandDraft, type MeasuredKept } from "./use-hand-draft";

const NOTHING: MeasuredKept = { id: null, measured: {} };

/** What can these hands hold? Both hands to scale, their measurements, what is resting and what is allowed. */
export function HandsView({ pianist, data }: { pianist: string; data: HandsData }) {
  const [figure, setFigure] = useState<keyof PairMeasured>("comfortable");
  const [inIntervals, setInIntervals] = useState(false);
  const [used] = data.instruments;
  const on = useMemo(() => instrument(used!.octaveWidth), [used]);
  const right = useHandDraft("right", data.measurements.right[0] ?? NOTHING);
  const left = useHandDraft("left", data.measurements.left[0] ?? NOTHING);
  return (
    <div>
      <div className="flex flex-wrap items-end justify-between gap-3 border-b border-hairline pb-2">
        <h1 className="font-serif text-3xl">{pianist}’s hands</h1>
        <div className="flex flex-wrap items-center gap-3">
          <InstrumentChoice playerId={data.playerId} instruments={data.instruments} />
          <Link href="/hands/measure" className={buttonLook()}>
            Measure at the keys
          </Link>
          <Link href="/hands/reach" className={buttonLook()}>
            Reach sheet
          </Link>
        </div>
      </div>
      <div className="flex flex-wrap items-center justify-between gap-3 pt-2 text-sm">
        <p className="text-soft">
          Drawn to scale; draw a fingertip to where it comes. Comfortable first. Never force, and stop if it hurts.
        </p>
        <div className="flex flex-wrap gap-4">
          <Choice
            label="Hands opened to"
            value={figure}
            options={[
              ["comfortable", "Comfortable"],
              ["widest", "Widest"],
            ]}
            onChange={setFigure}
          />
          <Choice
            label="Figures in"
            value={inIntervals ? "intervals" : "mm"}
            options={[
              ["mm", "Millimetres"],
              ["intervals", "Intervals"],
            ]}
            onChange={(next) => setInIntervals(next === "intervals")}
          />
        </div>
      </div>
      <OpenHands drafts={[left, right]} instrument={on} figure={figure} />
      <p className="pt-1 text-xs text-soft">
        {inIntervals
          ? "The widest interval of white keys that two fingers hold at the front edges, at the edges that face each other, without force."
          : "Millimetres between contact points. Figures in italics are estimated from what is measured, with the range they may lie in."}
      </p>
      <div className="mt-2 grid gap-8 md:grid-cols-2">
        {[left, right].map((draft) => (
          <HandForm
            key={draft.side}
            playerId={data.playerId}
            draft={draft}
            history={data.measurements[draft.side]}
            instrument={on}
            inIntervals={inIntervals}
            today={data.today}
          />
        ))}
      </div>
      <div className="mt-8 grid gap-8 md:grid-cols-2">
        <Resting playerId={data.playerId} rests={data.rests} today={data.today} />
        <div className="flex flex-col gap-6">
          <OwnFigures playerId={data.playerId} own={data.own} />
          <Allowed playerId={data.playerId} allows={data.allows} />
          <History measurements={data.measurements} />
        </div>
      </div>
    </div>
  );
}
