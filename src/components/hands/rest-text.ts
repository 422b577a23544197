import { FINGERS, type Finger, type Side } from "@/core/hand/finger";

/** "The right hand", or "Right 4 and 5". */
export function restText({ side, fingers }: { readonly side: Side; readonly fingers: readonly Finger[] }): string {
  if (fingers.length === FINGERS.length) return `The ${side} hand`;
  const named = [...fingers]
    .sort()
    .join(", ")
    .replace(/, (\d)$/, " and $1");
  return `${side === "right" ? "Right" : "Left"} ${named}`;
}
