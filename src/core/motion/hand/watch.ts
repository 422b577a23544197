/** What only an eye can see of a hand at work; the player ticks it, passage by passage. */
export const WATCHED = [
  { id: "joint-caves-in", words: "A joint caves in" },
  { id: "finger-lifted", words: "A finger is lifted or curls" },
  { id: "shoulder-up", words: "A shoulder goes up" },
  { id: "elbow-out", words: "An elbow goes out, or is clamped in" },
  { id: "thumb-from-above", words: "The thumb reaches down from a high wrist" },
  { id: "fingers-high", words: "Fingers go high off the keys" },
] as const;

export type Watched = (typeof WATCHED)[number]["id"];
export const WATCHED_IDS = WATCHED.map(({ id }) => id) as [Watched, ...Watched[]];
