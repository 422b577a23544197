/**
 * Which returns keep the figure's fingers: "alike", those that feel the same under the hand (the same keys, or
 * octaves); "all", every one that can; "none".
 */
export const TYING = ["none", "alike", "all"] as const;
export type Tying = (typeof TYING)[number];
