"use client";

import { fingerName } from "@/core/hand/finger";
import type { Plan } from "@/core/motion/plan/plan";
import type { PlanMarks } from "@/core/motion/marks/plan-marks";
import type { Note, NoteId } from "@/core/passage/note";
import type { PlanMarksInHand } from "../use-plan-marks";

interface Props {
  readonly plan: Plan;
  readonly inHand: PlanMarksInHand;
  readonly notes: readonly Note[];
  readonly note: NoteId | null;
  readonly stretch: readonly NoteId[];
  readonly onGo: (note: NoteId) => void;
}

/** Where the tune lies, and how the hand carries it at the note in hand. */
export function TuneForm({ plan, inHand: { marks, setMarks }, notes, note, stretch, onGo }: Props) {
  const voices = [...new Set(notes.map((n) => n.voice))].sort();
  const voiced = plan.hands.flatMap((h) => h.voicing);
  const here = voiced.find((v) => v.note === note);
  const value = nameOf(marks.tune);
  const byFinger = [1, 2, 3, 4, 5].map((finger) => voiced.filter((v) => v.finger === finger).length);
  return (
    <section aria-label="The tune" className="flex flex-col gap-1">
      <h3 className="font-serif text-lg">The tune</h3>
      <label className="flex items-center gap-2">
        <span className="text-soft">lies in</span>
        <select
          value={value}
          onChange={({ target }) => setMarks({ ...marks, tune: tuneNamed(target.value, stretch, note) })}
          className="min-h-11 flex-1 border border-hairline bg-paper px-2"
        >
          <option value="">nothing marked</option>
          <option value="top">the highest notes</option>
          {voices.map((voice) => (
            <option key={voice} value={`voice ${voice}`}>
              voice {voice}
            </option>
          ))}
          <option value="notes">{stretch.length > 0 ? "the stretch chosen" : "notes one by one"}</option>
        </select>
      </label>
      {marks.tune !== null && "notes" in marks.tune && note && (
        <button
          type="button"
          className="min-h-11 self-start text-soft underline"
          onClick={() => setMarks({ ...marks, tune: toggled(marks.tune, note) })}
        >
          {marks.tune.notes.includes(note) ? "Take this note out of the tune" : "Put this note into the tune"}
        </button>
      )}
      {here && (
        <p>
          Carried by the {fingerName(here.finger)}; the hand leans to{" "}
          {here.lean === "neither" ? "neither side" : `the ${here.lean}`}; the finger stands {here.fromAxis.toFixed(0)}{" "}
          mm from the hand’s axis.
        </p>
      )}
      {voiced.length > 0 && !here && (
        <button
          type="button"
          className="min-h-6 text-left underline decoration-hairline"
          onClick={() => onGo(voiced[0]!.note)}
        >
          {byFinger.flatMap((count, i) => (count > 0 ? [`${count} with ${i + 1}`] : [])).join(", ")}
        </button>
      )}
    </section>
  );
}

function nameOf(tune: PlanMarks["tune"]): string {
  if (tune === null) return "";
  if ("top" in tune) return "top";
  return "voice" in tune ? `voice ${tune.voice}` : "notes";
}

function tuneNamed(name: string, stretch: readonly NoteId[], note: NoteId | null): PlanMarks["tune"] {
  if (name === "") return null;
  if (name === "top") return { top: true };
  if (name === "notes") return { notes: stretch.length > 0 ? stretch : note ? [note] : [] };
  return { voice: name.replace("voice ", "") };
}

function toggled(tune: PlanMarks["tune"], note: NoteId): PlanMarks["tune"] {
  if (tune === null || !("notes" in tune)) return tune;
  return { notes: tune.notes.includes(note) ? tune.notes.filter((n) => n !== note) : [...tune.notes, note] };
}
