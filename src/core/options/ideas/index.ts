import { positionsOf } from "../../fingering/explain/positions";
import type { Judged, Study } from "../../fingering/study/study";
import { OFFER } from "../../physics";
import { breaks } from "./breaks";
import type { Idea, Reading } from "./idea";
import { openings } from "./openings";
import { passes } from "./passes";
import { positions } from "./positions";
import { thumbOnBlack } from "./thumb-on-black";
import { weakFingers } from "./weak-fingers";

/** What fingerings are told apart by, what matters most to a pianist first. */
const IDEAS: readonly Idea[] = [positions, passes, breaks, thumbOnBlack, openings, weakFingers];

/** The ideas of one fingering. */
export interface Ideas {
  readonly amounts: readonly number[];
  /** The notes at which the hand is set anew. */
  readonly joins: ReadonlySet<string>;
}

/** What a fingering's ideas amount to, each in its own unit and in the order of the ideas, and the notes at which the hand is set anew. */
export function ideasOf(study: Study, judged: Judged): Ideas {
  const reading: Reading = { study, judged, positions: positionsOf(study, judged.fingering) };
  return {
    amounts: IDEAS.map((idea) => idea.amount(reading)),
    joins: new Set(reading.positions.flatMap(({ join, notes }) => (join && notes[0] ? [notes[0]] : []))),
  };
}

/** Whether two fingerings differ by an idea, or by where at least half of the places lie in which the hand is set. */
export function isOtherIdea(one: Ideas, other: Ideas): boolean {
  return (
    IDEAS.some((idea, i) => Math.abs(one.amounts[i]! - other.amounts[i]!) >= idea.least) || liesElsewhere(one, other)
  );
}

function liesElsewhere({ joins: one }: Ideas, { joins: other }: Ideas): boolean {
  const shared = [...one].filter((note) => other.has(note)).length;
  const most = Math.max(one.size, other.size);
  return most > 0 && most - shared >= OFFER.leastElsewhere && (most - shared) / most >= OFFER.elsewhere;
}

/** Words for what a fingering is by, against another: the ideas in which they differ, at most three. */
export function sayIdeas(own: Ideas, against: Ideas | null): string {
  const differing = IDEAS.map((idea, i) => ({ idea, amount: own.amounts[i]!, other: against?.amounts[i] })).filter(
    ({ idea, amount, other }) => other === undefined || Math.abs(amount - other) >= idea.least,
  );
  const said = differing.slice(0, against === null ? 2 : 3).map(({ idea, amount }) => idea.say(amount));
  if (said.length === 0) return "The hand is set in other places.";
  const sentence = said.join(", ");
  return `${sentence[0]!.toUpperCase()}${sentence.slice(1)}.`;
}
