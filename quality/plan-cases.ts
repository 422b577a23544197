import type { KindCase } from "./kind";

/** An invented passage whose hand plan is looked at: easy ones must raise no warning, harmful ones the right one. */
export interface PlanCase {
  readonly passage: KindCase;
  /** Ids of warnings of which one must be among the first three; none for an easy passage. */
  readonly warns: readonly string[];
}

type More = Partial<Pick<KindCase, "manner" | "span" | "tune">>;

function plan(
  warns: readonly string[],
  name: string,
  side: KindCase["side"],
  music: string,
  more: More = {},
): PlanCase {
  return {
    warns,
    passage: { kind: "plan", name, side, music, accepted: [], why: "", manner: {}, tune: false, ...more },
  };
}

const again = (music: string, times: number): string => Array.from({ length: times }, () => music).join(" ");

const SLOW = { tempo: 60 } as const;
const easy = (name: string, side: KindCase["side"], music: string, more?: More): PlanCase =>
  plan([], name, side, music, more);

/** Twenty of the easiest. */
export const EASY: readonly PlanCase[] = [
  easy("five fingers", "right", "C4:2 D4:2 E4:2 F4:2 G4:2 F4:2 E4:2 D4:2 C4:2", { manner: SLOW }),
  easy("five fingers", "left", "C3:2 D3:2 E3:2 F3:2 G3:2 F3:2 E3:2 D3:2 C3:2", { manner: SLOW }),
  easy("five fingers in sixteenths", "right", "C5 D5 E5 F5 G5 F5 E5 D5 C5"),
  easy("one octave of a scale", "right", "C5 D5 E5 F5 G5 A5 B5 C6", { manner: SLOW }),
  easy("two octaves of a scale", "right", "C4 D4 E4 F4 G4 A4 B4 C5 D5 E5 F5 G5 A5 B5 C6"),
  easy("two octaves of a scale", "left", "C2 D2 E2 F2 G2 A2 B2 C3 D3 E3 F3 G3 A3 B3 C4"),
  easy("scale in D flat", "right", "Db4 Eb4 F4 Gb4 Ab4 Bb4 C5 Db5"),
  easy("rocking triads", "left", again("C3 G3 E3 G3", 4), { manner: { tempo: 72 } }),
  easy("rocking triads in F", "left", again("F3:2 C4:2 A3:2 C4:2", 4)),
  easy("triads held", "right", again("C4+E4+G4:8", 3), { manner: SLOW }),
  easy("triads in turn", "right", "C4+E4+G4:4 C4+F4+A4:4 B3+D4+G4:4 C4+E4+G4:4", { manner: SLOW }),
  easy("thirds", "right", "C5+E5:4 D5+F5:4 E5+G5:4 F5+A5:4", { manner: SLOW }),
  easy("fifths, slow", "right", "C4+G4:8 D4+A4:8 E4+B4:8", { manner: SLOW }),
  easy("mordent", "right", "E5:2 F5:2 G5:4 A5 G5 F#5 G5 G5:4 E5:4", { manner: SLOW }),
  easy("short trill", "right", "D5:4 E5 D5 E5 D5 E5 D5 C#5 D5 D5:4", { manner: { tempo: 90 } }),
  easy("turn", "right", "C5:4 D5 C5 B4 C5 E5:4 D5:4", { manner: SLOW }),
  easy("a tune in quarters", "right", "E4:4 F4:4 G4:4 E4:4 D4:4 C4:4", { manner: { tempo: 72 } }),
  easy("broken triad over an octave", "right", "C5:2 E5:2 G5:2 C6:2 G5:2 E5:2 C5:2", { manner: SLOW }),
  easy("repeated note", "right", again("G4:2", 8), { manner: SLOW }),
  easy("chromatic scale", "right", "C5 C#5 D5 D#5 E5 F5 F#5 G5 G#5 A5 A#5 B5 C6", { manner: SLOW }),
];

/** Twenty that harm where nobody says so. */
export const HARMFUL: readonly PlanCase[] = [
  plan(
    ["kept-open"],
    "octave held with notes inside",
    "right",
    "C4+C5:16 C4+C5:16 / r:4 E4:4 G4:4 E4:4 r:4 E4:4 G4:4 E4:4",
    { manner: SLOW },
  ),
  plan(["kept-open"], "octave chords held, small hand", "right", again("C4+E4+G4+C5:16", 4), {
    manner: SLOW,
    span: 185,
  }),
  plan(["kept-open", "beyond-reach"], "ninth held", "right", "C4+D5:32", { manner: SLOW }),
  plan(["kept-open"], "octave held at the end", "left", "C3 D3 E3 F3 G3 A3 B3 C4 C3+C4:16", { manner: SLOW }),
  plan(["kept-open"], "seventh chords held, small hand", "left", again("C3+E3+G3+B3:16", 3), {
    manner: SLOW,
    span: 175,
  }),
  plan(["kept-open", "on-and-on"], "octaves, loud, bound, slow", "right", again("C4+C5:4 D4+D5:4 E4+E5:4 D4+D5:4", 4), {
    manner: { tempo: 60, loudness: 0.9 },
  }),
  plan(["on-and-on", "kept-open"], "fast octaves for a minute", "right", again("C4+C5 D4+D5 E4+E5 D4+D5", 100), {
    manner: { tempo: 100, touch: "detached" },
  }),
  plan(["on-and-on"], "fast octaves for half a minute", "left", again("C3+C4 C3+C4 D3+D4 D3+D4", 48), {
    manner: { tempo: 100, touch: "detached" },
  }),
  plan(["on-and-on"], "repeated chords at the limit", "right", again("C4+E4+G4", 96), {
    manner: { tempo: 110, touch: "detached" },
  }),
  plan(["on-and-on"], "repeated octaves in triplets", "left", again("G2+G3", 120), {
    manner: { tempo: 80, touch: "detached" },
  }),
  plan(["rocking"], "tremolo in octaves, fast", "right", again("C5 C6", 24), { manner: { tempo: 150 } }),
  plan(["rocking"], "tremolo in sixths, fast", "left", again("E3 C4", 32), { manner: { tempo: 160 } }),
  plan(["rocking"], "broken octaves, fast", "right", "C4 C5 D4 D5 E4 E5 F4 F5 G4 G5 A4 A5 B4 B5 C5 C6", {
    manner: { tempo: 160 },
  }),
  plan(["short", "leaps"], "leaps of two octaves, fast", "left", again("C2 C4 G1 G3", 4), { manner: { tempo: 150 } }),
  plan(["beyond-reach"], "tenths", "left", again("C3+E4:4 D3+F4:4", 2)),
  plan(["beyond-reach", "kept-open"], "tenths held, small hand", "right", again("C4+E5:8", 3), {
    manner: SLOW,
    span: 180,
  }),
  plan(["frozen", "on-and-on"], "a locked wrist over one chord", "right", again("C5+E5+G5:1", 64), {
    manner: { tempo: 96, touch: "detached" },
  }),
  plan(
    ["thumb-reaching", "bent-wrist", "kept-open", "neighbour-near"],
    "thumb down under black keys",
    "right",
    again("C4+F#4+A#4+C#5:8", 4),
    { manner: SLOW },
  ),
  plan(
    ["bent-wrist", "thumb-reaching", "elbow"],
    "far past the middle of the body",
    "right",
    again("C2:2 D2:2 E2:2 F2:2 G2:2", 4),
    { manner: SLOW },
  ),
  plan(["elbow"], "the left hand high up", "left", again("C5:2 D5:2 E5:2 F5:2 G5:2 F5:2 E5:2 D5:2", 3)),
];
