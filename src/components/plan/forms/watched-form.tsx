import { WATCHED } from "@/core/motion/hand/watch";
import type { PlanMarksInHand } from "../use-plan-marks";

/** What no figure tells: ticked by the player for this passage. */
export function WatchedForm({ inHand: { marks, setMarks } }: { readonly inHand: PlanMarksInHand }) {
  return (
    <fieldset>
      <legend className="font-serif text-lg">What only an eye sees</legend>
      <p className="text-soft">Tick what you have seen in this passage.</p>
      {WATCHED.map(({ id, words }) => (
        <label key={id} className="flex min-h-9 items-center gap-2">
          <input
            type="checkbox"
            checked={marks.watched.includes(id)}
            onChange={({ target }) =>
              setMarks({
                ...marks,
                watched: target.checked ? [...marks.watched, id] : marks.watched.filter((w) => w !== id),
              })
            }
          />
          {words}
        </label>
      ))}
      <label className="flex min-h-9 items-center gap-2">
        <input
          type="checkbox"
          checked={marks.school === "curled-first"}
          onChange={({ target }) => setMarks({ ...marks, school: target.checked ? "curled-first" : "as-played" })}
        />
        My school learns flat passages with curled fingers first
      </label>
    </fieldset>
  );
}
