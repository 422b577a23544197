import { candidatesFor, type Candidate } from "../frames/candidates";
import { frameAfter, type Frame } from "../frames/frame";
import type { Layer, Steps } from "./layer";
import { looseFrames, type Laid, type Site } from "./steps";

/** A layer whose steps are laid out, or were met before; everything else about it is worked out when it is wanted. */
export class LaidLayer implements Layer {
  readonly from: Steps["from"];
  readonly by: Steps["by"];
  readonly ending: Steps["ending"];
  readonly letGo: Steps["letGo"];
  readonly pair: Steps["pair"];
  readonly free: boolean;
  private readonly perState: number;
  private struckBy: readonly Candidate[] | null;
  private lying: readonly Frame[] | null;
  /** The state that was last asked about, and its frame. */
  private last: { readonly state: number; readonly frame: Frame } | null = null;

  /**
   * @param laid null where the steps were met before
   * @param triples what is known of Layer.triple, NaN elsewhere: as many places for each state as the prior layer has states in a frame at most
   */
  constructor(
    private readonly site: Site,
    { from, by, ending, letGo, pair }: Steps,
    laid: Laid | null,
    private readonly triples: Float64Array,
  ) {
    this.from = from;
    this.by = by;
    this.ending = ending;
    this.letGo = letGo;
    this.pair = pair;
    this.free = laid?.free ?? true;
    this.perState = triples.length / from.length;
    this.struckBy = laid?.candidates ?? null;
    this.lying = laid?.frames ?? null;
  }

  get candidates(): readonly Candidate[] {
    return (this.struckBy ??= candidatesFor(this.site.onset, NO_PINS, this.site.task));
  }

  get frames(): readonly Frame[] {
    return (this.lying ??= looseFrames(this.site, this.candidates));
  }

  triple(state: number, n: number): number {
    const at = state * this.perState + n;
    const known = this.triples[at]!;
    return Number.isNaN(known) ? (this.triples[at] = this.priced(state, n)) : known;
  }

  private priced(state: number, n: number): number {
    const { prior, beforePrior, costs } = this.site;
    const from = this.from[state]!;
    const before = prior!.ending[from]![n]!;
    costs.resume(this.frameOf(state), prior!.frames[from]!, this.letGo[state] === 1);
    return costs.triple(beforePrior?.frames[prior!.from[before]!] ?? null, prior!.letGo[before] === 1);
  }

  /** What was let go belongs to the step: so a state's frame may differ in that from the frame it ends in. */
  private frameOf(state: number): Frame {
    const { isLoose, onset, prior, task } = this.site;
    if (isLoose && this.free) return this.frames[this.by[state]!]!;
    if (this.last?.state !== state) {
      const { struck, leftOut } = this.candidates[this.by[state]!]!;
      const frame = frameAfter(prior!.frames[this.from[state]!]!, onset, struck, leftOut, task);
      this.last = { state, frame };
    }
    return this.last!.frame;
  }
}

/** Reads as free for every stroke. */
const NO_PINS = new Int8Array(0);
