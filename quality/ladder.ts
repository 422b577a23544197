import type { KindCase } from "./kind";

/** How hard a pianist would call a passage. */
type Rung = "easy" | "middling" | "hard";

/** Twenty invented passages, the easiest first as a pianist would put them. `npm run quality` prints what each strains. */
export interface LadderPassage {
  readonly rung: Rung;
  readonly passage: KindCase;
}

function rung(
  of: Rung,
  name: string,
  side: KindCase["side"],
  music: string,
  more: Partial<Pick<KindCase, "manner" | "span">> = {},
): LadderPassage {
  return {
    rung: of,
    passage: { kind: "ladder", name, side, music, accepted: [], why: "", manner: {}, tune: false, ...more },
  };
}

const SLOW = { tempo: 60 } as const;
const FAST = { tempo: 160 } as const;

export const LADDER: readonly LadderPassage[] = [
  rung("easy", "five fingers, slow", "right", "C5:2 D5:2 E5:2 F5:2 G5:2 F5:2 E5:2 D5:2 C5:2", { manner: SLOW }),
  rung("easy", "triad held and struck again, slow", "left", "C3+E3+G3:4 C3+E3+G3:4 C3+E3+G3:4", { manner: SLOW }),
  rung("easy", "five fingers", "right", "C5 D5 E5 F5 G5 F5 E5 D5 C5"),
  rung("easy", "rocking triads", "left", "C3 G3 E3 G3 C3 G3 E3 G3 C3 G3 E3 G3", { manner: SLOW }),
  rung("easy", "one octave of a scale, slow", "right", "C5 D5 E5 F5 G5 A5 B5 C6", { manner: SLOW }),
  rung("easy", "close triads in turn", "right", "C4+E4+G4:4 C4+F4+A4:4 B3+D4+G4:4 C4+E4+G4:4", { manner: SLOW }),
  rung("middling", "two octaves of a scale", "right", "C4 D4 E4 F4 G4 A4 B4 C5 D5 E5 F5 G5 A5 B5 C6"),
  rung("middling", "chromatic scale, fast", "right", "C5 C#5 D5 D#5 E5 F5 F#5 G5 G#5 A5 A#5 B5 C6", { manner: FAST }),
  rung("middling", "arpeggio of two octaves", "right", "C4 E4 G4 C5 E5 G5 C6 G5 E5 C5 G4 E4 C4"),
  rung("middling", "octaves in quarters", "right", "C4+C5:4 D4+D5:4 E4+E5:4 F4+F5:4 G4+G5:4"),
  rung("middling", "waltz bass", "left", "C2:4 E3+G3+C4:4 E3+G3+C4:4 G2:4 F3+G3+B3:4 F3+G3+B3:4"),
  rung("middling", "thirds in eighths", "right", "C4+E4:2 D4+F4:2 E4+G4:2 F4+A4:2 G4+B4:2 A4+C5:2"),
  rung(
    "middling",
    "chords of an octave in quarters",
    "right",
    "C4+E4+G4+C5:4 F4+A4+C5+F5:4 G4+B4+D5+G5:4 C5+E5+G5+C6:4",
  ),
  rung("middling", "broken tenths", "left", "C3:2 G3:2 E4:2 G3:2 C3:2 G3:2 E4:2 G3:2"),
  rung("hard", "arpeggio, fast, back and forth", "left", "Eb2 Bb2 Eb3 G3 Bb3 Eb4 Bb3 G3 Eb3 Bb2 Eb2", {
    manner: { tempo: 220 },
  }),
  rung("hard", "octaves in sixteenths", "right", "C4+C5 D4+D5 E4+E5 F4+F5 G4+G5 A4+A5 B4+B5 C5+C6", { manner: FAST }),
  rung("hard", "leaps of two octaves in sixteenths", "right", "C4 C6 E4 E6 G4 G6 C5 C7"),
  rung("hard", "thirds in sixteenths", "right", "C4+E4 D4+F4 E4+G4 F4+A4 G4+B4 A4+C5 B4+D5 C5+E5", { manner: FAST }),
  rung("hard", "ninths with inner notes", "right", "C4+E4+G4+D5:2 D4+F4+A4+E5:2 E4+G4+B4+F5:2 F4+A4+C5+G5:2"),
  rung("hard", "tenths that a hand cannot hold", "left", "C3+G3+E4:4 D3+A3+F4:4 E3+B3+G4:4", { span: 185 }),
];
