"use client";

import { spansOf } from "@/core/hand/measured";
import { SIDES } from "@/core/hand/finger";
import type { HandsData, MeasurementData } from "@/server/types";
import { BelongingMenu } from "../belongings/belonging-menu";
import { dayText } from "./dates";
import { HAND_NAMES } from "./hand-form";

const WAYS = { typed: "typed or drawn", keys: "at the keys", midi: "on a connected piano" } as const;

/** Every measurement of both hands, newest first. */
export function History({ measurements }: { measurements: HandsData["measurements"] }) {
  const all = SIDES.flatMap((side) => measurements[side]).sort((a, b) => (a.measuredOn < b.measuredOn ? 1 : -1));
  if (all.length === 0) return null;
  return (
    <section aria-label="Measurements kept">
      <h2 className="font-serif text-xl">Measurements kept</h2>
      <ul className="mt-1 text-sm">
        {all.map((one) => (
          <li key={one.id} className="flex items-center gap-3 border-b border-hairline">
            <span className="w-24">{dayText(one.measuredOn)}</span>
            <span className="w-20">{HAND_NAMES[one.side]}</span>
            <span className="flex-1 text-soft">
              {one.title && <span className="font-serif text-ink italic">{one.title}: </span>}
              {said(one)}
            </span>
            <BelongingMenu
              of={{
                kind: "measurement",
                id: one.id,
                title: one.title,
                called: one.title ?? `${HAND_NAMES[one.side]}, ${dayText(one.measuredOn)}`,
              }}
            />
          </li>
        ))}
      </ul>
    </section>
  );
}

function said({ measured, way }: MeasurementData): string {
  const { widest } = spansOf(measured)["1-5"];
  const pairs = Object.keys(measured.pairs ?? {}).length;
  const span = measured.rulerSpan === undefined ? "" : `${measured.rulerSpan} mm on a ruler, `;
  const opened = `1 and 5 to ${Math.round(widest.mm)} mm at the keys`;
  return `${span}${opened}${pairs > 0 ? `, ${pairs} of 10 pairs` : ""}; ${WAYS[way]}`;
}
