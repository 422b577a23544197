import type { Finger } from "../../../hand/finger";
import { gainOf } from "../../../placement/causes";
import type { Placement } from "../../../placement/placement";
import type { Press } from "../../frames/frame";
import type { Cause, Moment } from "../cause";
import type { Weights } from "../weights";
import { fingers, keys, mm } from "../words";
import { COMFORT, MOTION, PLAYING } from "../../../physics";

/** Several keys held down together: what the easiest placement of the hand on them costs. */
export const holding: Cause = {
  id: "holding",
  label: "keys held together",
  unit: "mm",
  frames: 2,
  source:
    "Strain of the easiest placement (placement/solve); its shares up to comfort and beyond it are a choice, and what is left of it while the hand stays open over a note that is held.",
  find(moment, tell) {
    const { now, placements, weights } = moment;
    const { struck, held } = now;
    const first = struck[0];
    if (first === undefined || struck.length + held.length < 2) return;
    const found = placements.look(struck, held);
    const load = Math.max(...struck.map((p) => p.stroke.load));
    const whole = weigh(strainOf(found, load, weights), weights);
    if (whole === 0) return;
    const weighed = whole - (1 - MOTION.staysOpen) * Math.min(whole, openAlready(moment, load));
    const { pair, amount } = nearestOf(found);
    const find = (finger: Finger | undefined): Press | null =>
      struck.find((p) => p.finger === finger) ?? held.find((p) => p.finger === finger) ?? null;
    const [lower, upper] = [find(pair?.[0]), find(pair?.[1])];
    // It falls once, on the note whose finger opens farthest of those struck now.
    const at = [upper, lower, first].find((p) => p !== null && struck.includes(p)) ?? first;
    tell(at.stroke, amount, weighed, upper ?? at, lower);
  },
  spared: () => "the keys held together lie at ease",
  say: ({ amount, finger, other }) =>
    amount >= 0
      ? `held together: ${fingers(other, finger)} could reach ${keys(amount)} more`
      : `${fingers(other, finger)} are ${mm(-amount)} short of holding this`,
};

/** What the hand was open for before, where it stays so because it holds something on: opening it no farther is little work. */
function openAlready({ now, before, placements, weights }: Moment, load: number): number {
  if (now.held.length === 0 || before!.struck.length + before!.held.length < 2) return 0;
  return weigh(strainOf(placements.look(before!.struck, before!.held), load, weights), weights);
}

/** A load adds its share of the opening's strain, as in placement/causes; middling loudness adds none. */
function strainOf(found: Placement, load: number, { outOfReach, outOfReachPerMm }: Weights): number {
  const loud = Math.max(0, load / PLAYING.middling - 1);
  return found.kind === "held"
    ? found.strain + found.causes.opening * gainOf({ heldMs: 0, load: loud }).load
    : outOfReach + outOfReachPerMm * (found.short?.mm ?? 0);
}

function weigh(strain: number, { holding: upTo, holdingBeyond }: Weights): number {
  return upTo * Math.min(strain, COMFORT) + holdingBeyond * Math.max(0, strain - COMFORT);
}

/** The pair nearest its widest, and the mm it has left; negative where it is short. */
function nearestOf(found: Placement): { pair: readonly [Finger, Finger] | undefined; amount: number } {
  if (found.kind === "held") return { pair: found.nearest?.pair, amount: found.nearest?.room ?? 0 };
  return { pair: found.short?.pair, amount: -(found.short?.mm ?? 0) };
}
