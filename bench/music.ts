import { FULL_SIZE } from "@/core/keyboard/instrument";
import { pitch } from "@/core/keyboard/pitch";
import type { Note, NoteId } from "@/core/passage/note";
import { USUAL_ALLOWANCES } from "@/core/reach/allowances";
import type { SurveyData } from "@/core/reach/survey";
import { beats } from "@/core/time/beats";
import type { Seeded } from "../tests/support/seeded";

/** mm, the ruler span of the hands that play it. */
export const MIDDLE = 205;

/** A line that walks and leaps. */
export function line(random: Seeded, notes: number): number[] {
  let key = 64;
  return Array.from(
    { length: notes },
    () => (key = Math.min(88, Math.max(45, key + random.pick([-4, -3, -2, -1, 1, 2, 3, 4, 5, -5, 7, -7])))),
  );
}

/** The white key of a step, counted from C 3. */
function white(step: number): number {
  return 48 + 12 * Math.floor(step / 7) + [0, 2, 4, 5, 7, 9, 11][((step % 7) + 7) % 7]!;
}

/** Chords broken one after another in one order. */
export function accompaniment(random: Seeded, notes: number): number[] {
  return Array.from({ length: notes / 4 }, () => {
    const bass = random.whole(-4, 2);
    const chord = [bass, bass + random.whole(2, 3), bass + random.whole(4, 5)];
    return [0, 2, 1, 2].map((place) => white(chord[place]!));
  }).flat();
}

/** A line that goes by steps and thirds and turns as it likes. */
export function bySteps(random: Seeded, notes: number): number[] {
  let step = 0;
  return Array.from({ length: notes }, () => white((step = Math.min(12, Math.max(-7, step + random.whole(-2, 2))))));
}

/** Four-note chords within an octave. */
export function chords(random: Seeded, count: number): number[][] {
  return Array.from({ length: count }, () => {
    const bass = random.whole(52, 66);
    return [bass, bass + random.whole(2, 4), bass + random.whole(5, 8), bass + random.whole(9, 12)];
  });
}

/** Bars of four quarters with three-note chords in both hands, some of them a tenth wide. */
export function longPiece(random: Seeded, bars: number): SurveyData {
  const chord = (bass: number): number[] => [
    bass,
    bass + random.whole(3, 7),
    bass + random.pick([9, 10, 12, 12, 12, 14, 16]),
  ];
  const notes = Array.from({ length: bars * 4 }, (_, beat) =>
    [chord(random.whole(60, 68)), chord(random.whole(36, 44))].flatMap((keys, hand) =>
      keys.map((key, i): Note => ({
        id: `b${1 + (beat >> 2)}-s${hand + 1}-v1-n${(beat % 4) * 3 + i}` as NoteId,
        tied: [],
        pitch: pitch(key),
        staff: hand + 1,
        voice: "1",
        onset: beats(beat),
        duration: beats(1),
        grace: 0,
        bar: String(1 + (beat >> 2)),
        beat: beats(beat % 4),
        printed: null,
      })),
    ),
  ).flat();
  const given = { measured: { rulerSpan: MIDDLE }, resting: [] };
  return {
    study: {
      passage: { notes, hands: "both", staves: 2 },
      hands: { right: given, left: given },
      octaveWidth: FULL_SIZE.octaveWidth,
      manner: { tempo: 96, touch: "legato", pedal: false },
    },
    bars: Array.from({ length: bars }, (_, i) => ({ number: String(i + 1), start: beats(4 * i) })),
    allows: USUAL_ALLOWANCES,
  };
}
