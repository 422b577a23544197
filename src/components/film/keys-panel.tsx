import { isBlack, pitchName, type Pitch } from "@/core/keyboard/pitch";
import { KEYBOARD } from "@/core/physics";
import type { Marking } from "./use-marking";
import { Button } from "../ui/button";
import { INPUT_LOOK } from "../ui/field";

const WHITE_KEYS = Array.from(
  { length: KEYBOARD.highestKey - KEYBOARD.lowestKey + 1 },
  (_, i) => (KEYBOARD.lowestKey + i) as Pitch,
).filter((key) => !isBlack(key));

interface Props {
  readonly marking: Marking;
  readonly isMarked: boolean;
}

/** The keys are the ruler: which two white keys bound what is marked. */
export function KeysPanel({ marking: { ends, setEnds, markAnew }, isMarked }: Props) {
  return (
    <section aria-label="The keys as a ruler" className="border-t border-hairline pt-2">
      <h2 className="font-serif text-lg">The keys as a ruler</h2>
      {isMarked ? (
        <Button look="quiet" className="px-0! underline" onClick={markAnew}>
          Mark the corners anew
        </Button>
      ) : (
        <div className="flex items-center gap-2">
          {(["From", "To"] as const).map((label, i) => (
            <label key={label} className="flex items-center gap-1">
              {label}
              <select
                value={ends[i]}
                onChange={({ target }) => {
                  const key = Number(target.value) as Pitch;
                  setEnds(i === 0 ? [key, Math.max(key, ends[1]) as Pitch] : [Math.min(key, ends[0]) as Pitch, key]);
                }}
                className={INPUT_LOOK}
              >
                {WHITE_KEYS.map((key) => (
                  <option key={key} value={key}>
                    {pitchName(key)}
                  </option>
                ))}
              </select>
            </label>
          ))}
        </div>
      )}
    </section>
  );
}
