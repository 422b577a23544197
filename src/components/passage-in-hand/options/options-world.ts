import type { Fingering } from "@/core/fingering/study/fingering";
import type { Answer, OptionKept, OptionData, Walked } from "@/server/types";
import type { Pending } from "../../keeping/pending";
import type { Sent } from "../../keeping/sending";
import type { OptionChange } from "./change";

/** Everything that the options need of the world; in tests each has a stand-in. */
export interface OptionsWorld {
  /** Changes not yet answered, kept in the browser. */
  readonly pending: Pending<OptionChange>;
  /** Works digits out around what an option asks, and as it stands; null where it could not be done. */
  around(option: Pick<OptionData, "leaning" | "pins" | "ruledOut" | "digits">): Promise<Fingering | null>;
  /** Sends changes one after another; see keeping/sending. */
  send<T>(call: () => Promise<Answer<T>>): Promise<Sent<T>>;
  change(asked: Omit<OptionChange, "from"> & { readonly onVersion: number }): Promise<Answer<OptionKept>>;
  walk(asked: WalkSent): Promise<Answer<Walked>>;
  refused(message: string): void;
  overtaken(): void;
  newId(): string;
  /** Lets so many ms pass, then calls; gives back what ends it. */
  later(ms: number, call: () => void): () => void;
}

interface WalkSent {
  readonly id: string;
  readonly fingeringId: string;
  readonly onVersion: number;
  readonly way: "undo" | "redo";
}
