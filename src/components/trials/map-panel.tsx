import { counted } from "@/core/counted";
import { placeText } from "@/core/passage/place";
import type { NoteId } from "@/core/passage/note";
import { againstPrediction } from "@/core/trials/against-prediction";
import { lagOf } from "@/core/trials/lag";
import type { TrialMap } from "@/core/trials/map";
import type { Step } from "@/core/fingering/study/steps";
import { format } from "date-fns";
import type { TakeData } from "@/server/types";
import { Button } from "../ui/button";

/** Takes that are listed at a place. */
const MOST_THERE = 8;

interface Props {
  readonly map: TrialMap;
  readonly steps: readonly Step[];
  readonly isDrawn: boolean;
  readonly onDraw: (drawn: boolean) => void;
  readonly onGo: (note: NoteId) => void;
  /** The note in hand; takes in which its onset went astray are shown. */
  readonly note: NoteId | null;
  readonly takes: readonly TakeData[];
  readonly onLook: (id: string) => void;
}

/** What was predicted against what happened over the player's own takes of the option in view. */
export function MapPanel({ map, steps, isDrawn, onDraw, onGo, note, takes, onLook }: Props) {
  const { faults, late, tension, partings } = againstPrediction(map.onsets);
  const lag = lagOf(map.bars);
  const placeOf = (note: NoteId): string => {
    const step = steps.find(({ notes }) => notes.includes(note));
    return step ? placeText(step.bar, step.beat) : "";
  };
  return (
    <section aria-label="Prediction and takes">
      <h2 className="font-serif text-lg">Predicted and played</h2>
      <p className="text-sm">
        Over {counted(map.takes, "take")} strain and faults {agree(faults)}
        {late === null ? "" : `; strain and lateness ${agree(late)}`}
        {tension === null ? "" : `; strain and tension ${agree(tension)}`}.
      </p>
      {lag.bars !== null && lag.bars > 0 && (
        <p className="text-sm">
          The hand hardens {lag.bars === 1 ? "one bar" : `${lag.bars} bars`} before the place that fails.
        </p>
      )}
      {lag.building.rises && <p className="text-sm">Tension builds up along the passage.</p>}
      {partings.length > 0 && (
        <ul className="mt-1 text-sm">
          {partings.map(({ note, kind }) => (
            <li key={note}>
              <button type="button" onClick={() => onGo(note)} className="min-h-8 text-left hover:text-velvet">
                <span className="underline">{placeOf(note)}</span> {kind}
              </button>
            </li>
          ))}
        </ul>
      )}
      <Button className="mt-2" aria-pressed={isDrawn} onClick={() => onDraw(!isDrawn)}>
        {isDrawn ? "Take the map away" : "Map on the score"}
      </Button>
      {isDrawn && note && (
        <TakesThere step={steps.find(({ notes }) => notes.includes(note))} takes={takes} onLook={onLook} />
      )}
    </section>
  );
}

interface ThereProps {
  readonly step: Step | undefined;
  readonly takes: readonly TakeData[];
  readonly onLook: (id: string) => void;
}

/** The takes in which an onset went astray, newest first. */
function TakesThere({ step, takes, onLook }: ThereProps) {
  if (!step) return null;
  const there = takes.filter(({ astray }) => step.notes.some((note) => astray[note]));
  return (
    <div role="status" className="mt-2 text-sm">
      <p>
        {placeText(step.bar, step.beat)}: astray in {there.length} of {takes.length}.
      </p>
      <ul className="flex flex-wrap gap-x-3">
        {there.slice(0, MOST_THERE).map(({ id, at, tempoReached, tempo }) => (
          <li key={id}>
            <button type="button" onClick={() => onLook(id)} className="min-h-8 underline hover:text-velvet">
              {format(new Date(at), "d MMM HH:mm")}, ♩ {Math.round(tempoReached ?? tempo)}
            </button>
          </li>
        ))}
      </ul>
    </div>
  );
}

function agree(correlation: number | null): string {
  if (correlation === null) return "cannot be compared";
  const said = correlation.toFixed(2).replace("-0.00", "0.00").replace("-", "−");
  return correlation >= 0.5
    ? `go together (${said})`
    : correlation >= 0.2
      ? `go together a little (${said})`
      : `do not go together (${said})`;
}
