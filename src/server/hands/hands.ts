import { FINGERS, SIDES, type Finger, type Side } from "@/core/hand/finger";
import type { HandGiven, HandMeasured } from "@/core/hand/measured";
import { KEYBOARD } from "@/core/physics";
import type { Zone } from "@/core/time/zone";
import type { Db } from "@/db/client";
import { instruments, measurements, pianistById, restsNow } from "@/db/queries/pianists";
import type { handMeasurement } from "@/db/schema";
import { ownData } from "./own-figures";
import { serverZone, today } from "../players/day";
import type { HandsData, InstrumentData, MeasurementData, RestData } from "../types";

/** Everything the Hands page shows. */
export async function handsData(db: Db, pianistId: string, zone: Zone = serverZone()): Promise<HandsData> {
  const [right, left, rests, all, who, own] = await Promise.all([
    measurements(db, pianistId, "right"),
    measurements(db, pianistId, "left"),
    restsData(db, pianistId),
    instrumentsData(db, pianistId),
    pianistById(db, pianistId),
    ownData(db, pianistId),
  ]);
  return {
    playerId: pianistId,
    measurements: { right: right.map(measurementData), left: left.map(measurementData) },
    rests,
    instruments: all,
    allows: who!.allows,
    own,
    today: today(zone),
  };
}

/** Both hands as every answer takes them: the newest measurement, and what is resting now. */
export async function handsGiven(db: Db, pianistId: string): Promise<Readonly<Record<Side, HandGiven>>> {
  const rests = await restsNow(db, pianistId);
  const given = await Promise.all(
    SIDES.map(async (side): Promise<[Side, HandGiven]> => {
      const [newest] = await measurements(db, pianistId, side);
      return [side, { measured: newest ? measuredOf(newest) : {}, resting: restingIn(rests, side) }];
    }),
  );
  return Object.fromEntries(given) as Record<Side, HandGiven>;
}

export async function restsData(db: Db, pianistId: string): Promise<readonly RestData[]> {
  const rests = await restsNow(db, pianistId);
  return rests.map(({ id, side, fingers, reason, since, reviewOn }) => ({
    id,
    side,
    fingers,
    reason,
    since,
    reviewOn,
  }));
}

/** The player's instruments, the one in use first; a full-size keyboard where there is none. */
export async function instrumentsData(db: Db, pianistId: string): Promise<readonly InstrumentData[]> {
  const all = await instruments(db, pianistId);
  if (all.length === 0) return [{ id: null, name: "Full-size keyboard", octaveWidth: KEYBOARD.fullOctaveWidth }];
  return all.map(({ id, name, octaveWidth }) => ({ id, name, octaveWidth }));
}

export function measurementData(row: typeof handMeasurement.$inferSelect): MeasurementData {
  const { id, side, title, measuredOn, way } = row;
  return { id, side, title, measuredOn, way, measured: measuredOf(row) };
}

function measuredOf({
  rulerSpan,
  pairs,
  tipWidths,
  behind,
  turnsEase,
}: typeof handMeasurement.$inferSelect): HandMeasured {
  const turns = turnsEase === null ? {} : { turnsEase };
  return { ...(rulerSpan === null ? {} : { rulerSpan }), pairs, tipWidths, behind, ...turns };
}

function restingIn(rests: readonly { side: Side; fingers: readonly Finger[] }[], side: Side): readonly Finger[] {
  return FINGERS.filter((finger) => rests.some((r) => r.side === side && r.fingers.includes(finger)));
}
