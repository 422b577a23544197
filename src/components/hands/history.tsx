"use client";

import { Trash2 } from "lucide-react";
import { toast } from "sonner";
import { spansOf } from "@/core/hand/measured";
import { SIDES } from "@/core/hand/finger";
import { forgetMeasurement, measure } from "@/server/actions";
import type { HandsData, MeasurementData } from "@/server/types";
import { ask } from "../keeping/ask";
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
            <span className="flex-1 text-soft">{said(one)}</span>
            <button
              type="button"
              aria-label={`Take out ${HAND_NAMES[one.side].toLowerCase()}, ${dayText(one.measuredOn)}`}
              className="grid size-11 place-items-center text-soft hover:text-ink"
              onClick={() => void takeOut(one)}
            >
              <Trash2 size={16} aria-hidden />
            </button>
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

/** Taking a measurement out can be undone. */
async function takeOut(one: MeasurementData): Promise<void> {
  const taken = await ask("measurements", () => forgetMeasurement({ id: one.id }));
  if (!taken) return;
  const { id, side, measuredOn, way, measured } = taken;
  toast(`${HAND_NAMES[side]} of ${dayText(measuredOn)} taken out.`, {
    action: {
      label: "Undo",
      onClick: () => void ask("measurements", () => measure({ id, side, measuredOn, way, ...measured })),
    },
  });
}
