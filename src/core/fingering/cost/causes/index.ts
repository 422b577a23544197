import { speed } from "./speed";
import { forOneNote } from "./for-one-note";
import { forTwoNotes } from "./for-two-notes";
import { otherFinger } from "./other-finger";
import { alternation } from "./alternation";
import { repetition } from "./repetition";
import { series } from "./series";
import type { Cause } from "../cause";
import { lineBroken } from "./line-broken";
import { begunInside } from "./begun-inside";
import { carry } from "./carry";
import { changeOnKey } from "./change-on-key";
import { crossing } from "./crossing";
import { crowding } from "./crowding";
import { doubledThumb } from "./doubled-thumb";
import { heavyFinger } from "./heavy-finger";
import { heldNote } from "./held-note";
import { heldOpen } from "./held-open";
import { holding } from "./holding";
import { idleThumb } from "./idle-thumb";
import { inOut } from "./in-out";
import { leftOut } from "./left-out";
import { neighbour } from "./neighbour";
import { offTriad } from "./off-triad";
import { opening } from "./opening";
import { outerOnBlack } from "./outer-on-black";
import { position } from "./position";
import { restingFinger } from "./resting-finger";
import { rotation } from "./rotation";
import { sameFinger } from "./same-finger";
import { shortfall } from "./shortfall";
import { spread } from "./spread";
import { thumbPass } from "./thumb-pass";
import { unlikeRest } from "./unlike-rest";
import { weakFinger } from "./weak-finger";
import { wideStep } from "./wide-step";

/** All causes of strain. Their sum over a passage is what the search minimises. */
export const CAUSES: readonly Cause[] = [
  holding,
  heldOpen,
  unlikeRest,
  spread,
  offTriad,
  idleThumb,
  opening,
  wideStep,
  crowding,
  neighbour,
  carry,
  lineBroken,
  shortfall,
  speed,
  position,
  thumbPass,
  forOneNote,
  forTwoNotes,
  begunInside,
  crossing,
  outerOnBlack,
  weakFinger,
  alternation,
  heavyFinger,
  inOut,
  rotation,
  heldNote,
  changeOnKey,
  doubledThumb,
  sameFinger,
  repetition,
  series,
  otherFinger,
  leftOut,
  restingFinger,
];

/** The cause of that id. @throws RangeError where there is none. */
export function causeById(id: string): Cause {
  const cause = CAUSES.find((c) => c.id === id);
  if (!cause) throw new RangeError(`There is no cause "${id}".`);
  return cause;
}
