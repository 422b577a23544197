import { engraved, engraverWarm } from "./engraving";
import { around, firstOptions, followed } from "./fingerings";
import { hearFile } from "./heard";
import { ownProposal } from "./own-figures";
import { exportedFile, passageFile, passageMidi, takeFile } from "./exports";
import { editionNotes, passageMusic, pieceMusic, readFile, wholeMusic } from "./scores";

/** Everything that takes long and so runs in a thread, by name. */
export const TASKS = {
  readFile,
  hearFile,
  pieceMusic,
  passageMusic,
  wholeMusic,
  editionNotes,
  exportedFile,
  passageFile,
  passageMidi,
  takeFile,
  followed,
  around,
  firstOptions,
  ownProposal,
  engraved,
  engraverWarm,
} as const;

export type TaskName = keyof typeof TASKS;
export type Given<N extends TaskName> = Parameters<(typeof TASKS)[N]>[0];
export type Done<N extends TaskName> = Awaited<ReturnType<(typeof TASKS)[N]>>;

/** One task with what it is given, as it goes to a thread. */
export interface Errand {
  readonly name: TaskName;
  readonly given: unknown;
}
