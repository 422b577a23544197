import { MARK_NAMES, type MarkName } from "@/core/film/hand-marked";
import type { Step } from "@/core/fingering/study/steps";
import type { NoteId } from "@/core/passage/note";
import { placeText } from "@/core/passage/place";
import { Button } from "../ui/button";
import { Choice } from "../ui/choice";
import type { Marking } from "./use-marking";
import { INPUT_LOOK } from "../ui/field";

interface Props {
  readonly marking: Marking;
  readonly steps: readonly Step[];
}

const ROWS = [
  ["Tips", "tip"],
  ["Knuckles", "knuckle"],
] as const;

const MARK =
  "size-9 border border-hairline aria-pressed:border-2 aria-pressed:border-velvet data-[marked=true]:bg-velvet/15";

/** Which hand and which of its points is marked next, and at which onset it is. */
export function HandPanel({ marking, steps }: Props) {
  const { side, setSide, chosen, choose, showsMirrored, showMirrored, canMirror, hand, setNote, clear } = marking;
  const mark = (name: MarkName, label: string) => (
    <button
      key={name}
      type="button"
      aria-label={name}
      aria-pressed={chosen === name}
      data-marked={hand?.marks[name] !== undefined}
      onClick={() => choose(name)}
      className={MARK}
    >
      {label}
    </button>
  );
  return (
    <section aria-label="The hand" className="border-t border-hairline pt-2">
      <Choice
        label="Hand"
        value={side}
        options={[
          ["right", "Right"],
          ["left", "Left"],
        ]}
        onChange={setSide}
      />
      <div className="mt-2 grid grid-cols-[5rem_repeat(5,2.25rem)] items-center gap-1">
        {ROWS.map(([label, kind]) => (
          <div key={kind} className="contents">
            <span>{label}</span>
            {MARK_NAMES.filter((name) => name.startsWith(kind)).map((name) => mark(name, name.split(" ")[1]!))}
          </div>
        ))}
        <span>Wrist</span>
        {mark("wrist", "○")}
      </div>
      <label className="mt-2 flex items-center gap-2">
        At
        <select
          value={hand?.note ?? ""}
          onChange={({ target }) => setNote((target.value || null) as NoteId | null)}
          className={INPUT_LOOK}
        >
          <option value="">an onset of the passage</option>
          {steps.map((step) => (
            <option key={step.notes[0]} value={step.notes[0]}>
              {placeText(step.bar, step.beat)}
            </option>
          ))}
        </select>
      </label>
      <div className="mt-1 flex flex-wrap gap-1">
        {canMirror && (
          <Button aria-pressed={showsMirrored} onClick={() => showMirrored(!showsMirrored)}>
            The other hand mirrored
          </Button>
        )}
        {hand && (
          <Button look="quiet" onClick={clear}>
            Clear these marks
          </Button>
        )}
      </div>
    </section>
  );
}
