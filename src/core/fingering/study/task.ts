import type { Hand } from "../../hand/hand";
import type { OwnFigures } from "../../hand/own";
import type { Instrument } from "../../keyboard/instrument";
import type { Line } from "../../passage/line";
import type { Manner } from "../../passage/passage";
import type { Placements } from "../../placement/placements";
import type { Weights } from "../cost/weights";

/** One hand's share of the work: what it plays, on what, how, and by which weights it is judged. */
export interface Task {
  readonly line: Line;
  readonly hand: Hand;
  readonly instrument: Instrument;
  /** What the hand can hold on the instrument. */
  readonly placements: Placements;
  readonly manner: Manner;
  readonly weights: Weights;
  /** Times as much as usual that causes weigh with this player, by their ids; see OwnFigures. */
  readonly own: OwnFigures["causes"];
}
