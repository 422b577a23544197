import { eachHand, whole } from "./warning";

/** Keys that no placement of the hand holds together. */
export const beyondReach = eachHand("beyond-reach", "mm", ({ frames }) =>
  frames.flatMap(({ short: mm, notes }) => {
    if (mm === null || notes.length === 0) return [];
    return [
      {
        note: notes[0]!,
        amount: mm,
        words: `the keys cannot be held together: ${whole(mm)} mm short`,
        change: "roll it, share it with the other hand, or leave a doubled note out",
        cost: 110 + mm,
      },
    ];
  }),
);
