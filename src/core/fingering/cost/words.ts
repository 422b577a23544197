import { fingerName } from "../../hand/finger";
import { pitchClassName } from "../../keyboard/pitch";
import type { Press } from "../frames/frame";

/** "1 and 5", lower finger first. */
export function fingers(a: Press | null, b: Press | null): string {
  return [a, b]
    .flatMap((p) => (p ? [p.finger] : []))
    .sort()
    .join(" and ");
}

export function mm(amount: number): string {
  return `${Math.round(amount)} mm`;
}

export function ms(amount: number): string {
  return `${Math.round(amount)} ms`;
}

export function hz(amount: number): string {
  return `${amount.toFixed(1)} a second`;
}

/** "thumb on B flat". */
export function fingerOnKey(press: Press): string {
  return `${fingerName(press.finger)} on ${pitchClassName(press.stroke.key)}`;
}
