import type { HandPlan } from "../../plan/hand-plan";
import type { Plan } from "../../plan/plan";
import type { PlanMarks } from "../plan-marks";
import type { NoteId } from "../../../passage/note";
import type { Side } from "../../../hand/finger";
import { circleOver } from "./circle-over";
import { circleUnder } from "./circle-under";
import { goIn } from "./go-in";
import { goOut } from "./go-out";
import { fewSigns } from "./few";
import { group } from "./group";
import { letGo } from "./let-go";
import { look } from "./look";
import { rise } from "./rise";
import { rocking } from "./rocking";
import type { Sign, SignFound, SignPlaced } from "./sign";
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
  look,
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

/** How many of a plan's signs stand on the score: a few that matter, all, or the player's own alone. */
export const SIGNS_SHOWN = ["few", "all", "own"] as const;
export type SignsShown = (typeof SIGNS_SHOWN)[number];

/** The signs of a plan with the player's own and without those that were taken away: what stands on the score. */
export function signsOf(
  plan: Plan,
  marks: PlanMarks,
  sideOf: (note: NoteId) => Side,
  shown: SignsShown = "few",
): readonly SignPlaced[] {
  if (shown === "own") return ownSigns(marks, sideOf);
  const hidden = new Set(marks.hidden);
  const found = plan.hands.flatMap((hand) =>
    (shown === "few" ? fewSigns(hand) : allSigns(hand)).map(({ id, ...place }): SignPlaced => ({
      ...place,
      key: `${id} ${place.note}`,
      sign: id,
      side: hand.side,
      words: wordsOf(id),
      above: hand.side === "right",
      own: false,
    })),
  );
  return [...found.filter(({ key }) => !hidden.has(key)), ...ownSigns(marks, sideOf)];
}

function allSigns(hand: HandPlan): readonly (SignFound & { readonly id: string })[] {
  return SIGNS.flatMap(({ id, find }) => find(hand).map((found) => ({ ...found, id })));
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
