/** How much each warning of the plan weighs, 0 to 100, so that the worst is told first. All choices. */
export const WARNING_WEIGHT = {
  /** For keys out of reach, and per mm short. */
  beyondReach: { from: 110, each: 1 },
  /** Below this nothing is said. */
  least: 8,
  /** Notes of rocking that count in full; fewer count by their share. */
  rockingNotes: 12,
  /** Per degree beyond ease; and per mm that the thumb reaches beyond it. */
  bent: { each: 4, most: 60 },
  thumbReaching: { each: 2, most: 50 },
  /** Per s of strokes that go on and on. */
  onAndOn: { each: 1, most: 90 },
  /** For a wrist that stays at one height, and per s. */
  frozen: { from: 10, each: 2, most: 40 },
  /** Per degree in 100 ms, at most. */
  clash: { each: 100, most: 40 },
  /** Per mm, at most. */
  dragged: { each: 0.5, most: 40 },
  elbow: { each: 1 / 8, most: 30 },
  inFront: { each: 1 / 6, most: 35 },
  jerk: { each: 0.5, most: 50 },
  sideways: { each: 0.5, most: 40 },
  /** Per s, weighed by mm and loudness. */
  keptOpen: { each: 8, most: 95 },
  /** Per ms, at most. */
  short: { each: 1, most: 100, from: 5 },
  /** For both hands the same way, for opposite ways, and per mm. */
  leaps: { same: 15, opposite: 30, each: 1 / 40 },
  /** Per mm of clearance that is missing, at most. */
  neighbourNear: { each: 3, most: 60 },
  /** Where no window is at all. */
  noWindow: 40,
} as const;
