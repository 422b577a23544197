import type { Side } from "../../hand/finger";
import { keyMiddle } from "../../keyboard/geometry";
import type { Instrument } from "../../keyboard/instrument";
import { pitch } from "../../keyboard/pitch";
import type { NoteId } from "../../passage/note";
import { KEYBOARD, PLAN } from "../../physics";
import type { PlanFrame } from "./path";

/** What a hand's way along the keys asks of elbow and trunk. */
export interface BodyRoom {
  /** mm the wrist travels in all, and between its ends. */
  readonly travel: number;
  readonly range: number;
  /** The onset with least room for the elbow beside the body, and the mm it lacks there, with those by which the middle of the hand has passed the middle of the body; null where it is free throughout. */
  readonly narrowest: { readonly note: NoteId; readonly mm: number; readonly past: number } | null;
  /** Octaves to the side at which the same figure would be free; 0 where it is, null where the keyboard ends before. */
  readonly octavesToFree: number | null;
  /** mm the trunk goes along at most, and where; null where the arm does it alone. */
  readonly trunk: { readonly note: NoteId; readonly mm: number } | null;
}

/** mm, x of the middle of the body: it sits before the gap of E and F over middle C. */
export function bodyMiddle(on: Instrument): number {
  const { bodyKey } = PLAN;
  return (keyMiddle(pitch(Math.floor(bodyKey)), on) + keyMiddle(pitch(Math.ceil(bodyKey)), on)) / 2;
}

/** mm of room that an elbow has beside the body, negative where it lacks some: the wrist's way out from the middle, less what the elbow needs. */
export function elbowRoom(x: number, side: Side, on: Instrument): number {
  return outwards(x, side, on) - PLAN.elbowRoom;
}

function outwards(x: number, side: Side, on: Instrument): number {
  return (side === "right" ? 1 : -1) * (x - bodyMiddle(on));
}

/** The room that a hand's way leaves the elbow and the trunk: mm and degrees over all frames in which it plays; with none played, no travel and no limit. */
export function bodyRoomOf(frames: readonly PlanFrame[], side: Side, on: Instrument): BodyRoom {
  const played = frames.filter((f) => f.notes.length > 0);
  const x = played.map((f) => f.wrist.at.x);
  const travel = x.slice(1).reduce((sum, at, i) => sum + Math.abs(at - x[i]!), 0);
  const rooms = x.map((at) => elbowRoom(at, side, on));
  const least = Math.min(Infinity, ...rooms);
  const at = rooms.indexOf(least);
  const trunks = x.map((each) => trunkOf(outwards(each, side, on)));
  const most = Math.max(0, ...trunks.map(Math.abs));
  const far = trunks.findIndex((t) => Math.abs(t) === most);
  return {
    travel,
    range: x.length === 0 ? 0 : Math.max(...x) - Math.min(...x),
    narrowest:
      least < 0
        ? { note: played[at]!.notes[0]!, mm: -least, past: Math.max(0, -outwards(played[at]!.x, side, on)) }
        : null,
    octavesToFree: octavesToFree(played, least, side, on),
    trunk: most > 0 ? { note: played[far]!.notes[0]!, mm: most } : null,
  };
}

/** mm the trunk goes along when a wrist is so far out from the middle of the body; negative inwards. */
function trunkOf(out: number): number {
  const beyond = out - PLAN.shoulder;
  return Math.sign(beyond) * Math.max(0, Math.abs(beyond) - PLAN.armAlone);
}

function octavesToFree(played: readonly PlanFrame[], least: number, side: Side, on: Instrument): number | null {
  if (least >= 0) return 0;
  const octaves = Math.ceil(-least / on.octaveWidth);
  const keys = played.flatMap((f) => f.tips.map((t) => t.key));
  const fits =
    side === "right"
      ? Math.max(...keys) + 12 * octaves <= KEYBOARD.highestKey
      : Math.min(...keys) - 12 * octaves >= KEYBOARD.lowestKey;
  return fits ? octaves : null;
}
