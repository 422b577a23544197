import type { Step } from "@/core/fingering/study/steps";
import type { Note, NoteId } from "@/core/passage/note";
import type { NoteRemedies } from "@/core/passage/remedied";
import type { Position } from "@/core/fingering/explain/positions";
import type { Side } from "@/core/hand/finger";
import type { Redistribution } from "@/core/passage/passage";
import type { SignPlaced } from "@/core/motion/marks/signs";
import type { MarkHeard } from "@/core/trials/report";
import type { LaneId } from "./plan/lane";
import type { DrawnLane } from "./plan/plan-lanes";
import type { DigitLayer } from "./marks/digits";
import type { FigureMark } from "./marks/figure-marks";
import type { Lane } from "./lanes/strain-lanes";

/** How a note was chosen. */
export interface Chosen {
  /** Whether the stretch from the note in hand to this one is meant. */
  readonly extends: boolean;
  /** Where the stretch begins, where that is not the note in hand. */
  readonly from?: NoteId;
  /** Where it was touched, in px of the window; null for a mouse, a pen or a key. */
  readonly touchedAt: { readonly x: number; readonly y: number } | null;
}

/** What is drawn of the hand plan. */
export interface PlanDrawn {
  readonly lanes: readonly DrawnLane[];
  readonly signs: readonly SignPlaced[];
  readonly onFold: (lane: LaneId) => void;
}

/** What is drawn about the notes. */
export interface Drawn {
  readonly notes: readonly Note[];
  readonly steps: readonly Step[];
  readonly layers: readonly DigitLayer[];
  readonly lanes: readonly Lane[];
  readonly sideOf: (note: NoteId) => Side;
  /** What is chosen where the notes as written cannot be held. */
  readonly remedies?: NoteRemedies | undefined;
  /** Notes that one hand takes from the other. */
  readonly taken?: Redistribution | undefined;
  /** Runs of notes under one placed hand, of the option in view. */
  readonly positions?: readonly Position[] | undefined;
  /** Figures that return. */
  readonly figures?: readonly FigureMark[] | undefined;
  /** The hand plan, where it is shown. */
  readonly plan?: PlanDrawn | undefined;
  /** What went astray in the take that is looked at. */
  readonly astray?: readonly MarkHeard[] | undefined;
  /** Notes that could as well be written otherwise. */
  readonly doubtful?: ReadonlySet<NoteId> | undefined;
  /** Notes chosen together. */
  readonly stretch?: ReadonlySet<NoteId> | undefined;
  readonly selected: NoteId | null;
  readonly onSelect: (note: NoteId, chosen?: Chosen) => void;
}
