/** A finger by its number: 1 the thumb to 5 the little finger. */
export type Finger = 1 | 2 | 3 | 4 | 5;
export type Side = "right" | "left";

export const FINGERS: readonly Finger[] = [1, 2, 3, 4, 5];
export const SIDES: readonly Side[] = ["right", "left"];

const NAMES: Record<Finger, string> = {
  1: "thumb",
  2: "index",
  3: "middle finger",
  4: "fourth finger",
  5: "little finger",
};

/** The finger in words: "thumb", "index" to "little finger". */
export function fingerName(finger: Finger): string {
  return NAMES[finger];
}
