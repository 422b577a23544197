import { SIDES, type Side } from "@/core/hand/finger";
import { HAND, KEYBOARD } from "@/core/physics";
import type { Db } from "@/db/client";
import { currentInstrument, measurements } from "@/db/queries/pianists";
import type { HandsData } from "./types";

/** Both hands with their measurements, newest first; a hand never measured counts as a middle one and says so. */
export async function handsData(db: Db, pianistId: string): Promise<HandsData> {
  const instrument = await currentInstrument(db, pianistId);
  const hands = await Promise.all(
    SIDES.map(async (side) => {
      const all = await measurements(db, pianistId, side);
      return {
        side,
        measured: all.map(({ measuredOn, rulerSpan }) => ({ measuredOn, rulerSpan })),
        rulerSpan: all[0]?.rulerSpan ?? HAND.middleRulerSpan,
      };
    }),
  );
  return {
    hands: Object.fromEntries(hands.map((hand) => [hand.side, hand])) as Record<Side, (typeof hands)[number]>,
    instrument: {
      name: instrument?.name ?? "Full-size keyboard",
      octaveWidth: instrument?.octaveWidth ?? KEYBOARD.fullOctaveWidth,
    },
  };
}
