import type { Remedy } from "../remedy";
import { edges } from "./edges";
import { flat } from "./flat";
import { fold } from "./fold";
import { lean } from "./lean";
import { omit } from "./omit";
import { otherHand } from "./other-hand";
import { roll } from "./roll";
import { shorter } from "./shorter";

/** Every kind of remedy, those that lose least first. */
export const REMEDIES: readonly Remedy[] = [edges, flat, lean, otherHand, shorter, roll, omit, fold];

/** What a kind of remedy is called on the screen. */
export function remedyLabel(kind: Remedy["kind"]): string {
  return REMEDIES.find((r) => r.kind === kind)!.label;
}
