import { eachHand, whole } from "./warning";

/** Keys that no placement of the hand holds together. */
export const beyondReach = eachHand("beyond-reach", "mm", ({ frames, task }) =>
  frames.flatMap(({ holds, frame, notes }) => {
    if (holds || notes.length === 0) return [];
    const found = task.placements.look([...frame.struck, ...frame.held]);
    const mm = found.kind === "held" ? 0 : (found.short?.mm ?? 0);
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
