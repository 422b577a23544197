import type { Plan } from "../../plan/plan";
import type { PlanMarks } from "../plan-marks";
import type { NoteId } from "../../../passage/note";
import type { Side } from "../../../hand/finger";
import { circleOver } from "./circle-over";
import { circleUnder } from "./circle-under";
import { goIn } from "./go-in";
import { goOut } from "./go-out";
import { group } from "./group";
import { letGo } from "./let-go";
import { rise } from "./rise";
import { rocking } from "./rocking";
import type { Sign, SignPlaced } from "./sign";
import { sink } from "./sink";
import { touches } from "./touches";
import { turnToLittleFinger } from "./turn-to-little-finger";
import { turnToThumb } from "./turn-to-thumb";

export type { Sign, SignPlaced } from "./sign";

/** All signs of the plan, in the order of the legend. */
export const SIGNS: readonly Sign[] = [
  turnToThumb,
  turnToLittleFinger,
  rocking,
  sink,
  rise,
  goIn,
  goOut,
  circleOver,
  circleUnder,
  group,
  ...touches,
  letGo,
];

/** A sign that is nothing but the player's own words. */
export const OWN_WORDS = "words";
export const SIGN_IDS: [string, ...string[]] = [OWN_WORDS, ...SIGNS.map(({ id }) => id)];

/** What a sign says. @throws RangeError for a name that none has */
export function wordsOf(id: string): string {
  if (id === OWN_WORDS) return "";
  const found = SIGNS.find((s) => s.id === id);
  if (!found) throw new RangeError(`"${id}" is no sign of the plan.`);
  return found.words;
}

/** The signs of a plan with the player's own and without those that were taken away: what stands on the score. */
export function signsOf(plan: Plan, marks: PlanMarks, sideOf: (note: NoteId) => Side): readonly SignPlaced[] {
  const hidden = new Set(marks.hidden);
  const found = plan.hands.flatMap((hand) =>
    SIGNS.flatMap((sign) =>
      sign.find(hand).map((place): SignPlaced => ({
        ...place,
        key: `${sign.id} ${place.note}`,
        sign: sign.id,
        side: hand.side,
        words: sign.words,
        above: hand.side === "right",
        own: false,
      })),
    ),
  );
  return [...found.filter(({ key }) => !hidden.has(key)), ...ownSigns(marks, sideOf)];
}

/** The player's own signs alone: they stand whatever the plan is. */
export function ownSigns(marks: PlanMarks, sideOf: (note: NoteId) => Side): readonly SignPlaced[] {
  return marks.signs.map(({ id, sign, note, to, above, words }) => ({
    key: id,
    sign,
    note,
    to,
    side: sideOf(note),
    words: words ?? wordsOf(sign),
    above,
    own: true,
  }));
}
