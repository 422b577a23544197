import type { Doing } from "@/core/practice/planner/day";
import type { DemoPiece } from "./scenario";

/** A stretch of a day that the invented pianist practised. */
interface DemoBlock {
  readonly doing: Doing;
  /** Title of the passage; null for none. */
  readonly passage: string | null;
  readonly why: string;
  readonly minutes: number;
  /** Quarter notes a minute that the ladder came to; null where none was climbed. */
  readonly tempo: number | null;
  readonly count: { readonly good: number; readonly plays: number } | null;
  readonly loose: boolean | null;
  readonly note: string;
}

export interface DemoDay {
  readonly daysAgo: number;
  readonly blocks: readonly DemoBlock[];
}

const WEEKS = 6;
/** Passages a day, one day of rest in so many. */
const A_DAY = 3;
const REST_EVERY = 7;
/** Shares of the target at which a ladder stood six weeks ago, and stands now. */
const [FROM, TO] = [0.5, 0.88];

const WARM: DemoBlock = {
  doing: "warm-up",
  passage: null,
  why: "its easiest position, slow and soft; nothing wide in the first minutes",
  minutes: 8,
  tempo: null,
  count: null,
  loose: null,
  note: "",
};

/**
 * Six weeks of practice, day by day: what was tried on a day was also practised on it, at the tempi of its takes; the other
 * passages take turns.
 */
export function demoDays(pieces: readonly DemoPiece[]): readonly DemoDay[] {
  const passages = pieces.flatMap((piece) => piece.passages);
  const turns = passages.filter(({ tried = [] }) => tried.length === 0);
  let turn = 0;
  return Array.from({ length: WEEKS * 7 }, (_, i) => WEEKS * 7 - i).flatMap((daysAgo): readonly DemoDay[] => {
    const tried = passages.filter((one) => one.tried?.some((story) => story.daysAgo.includes(daysAgo)));
    if (tried.length === 0 && daysAgo % REST_EVERY === 0) return [];
    const others = Array.from({ length: Math.max(0, A_DAY - tried.length) }, () => turns[turn++ % turns.length]!);
    const isTense = daysAgo === 20;
    const blocks = [...tried, ...others].map((one, k): DemoBlock => {
      const clean = one.tried
        ?.filter((story) => story.daysAgo.includes(daysAgo))
        .flatMap(({ breaks, tempi }) => tempi.filter((tempo) => breaks === null || tempo <= breaks));
      const climbed = one.tempo * (FROM + (TO - FROM) * (1 - daysAgo / (WEEKS * 7)));
      const plays = 5 + ((daysAgo + k) % 4);
      return {
        doing: clean ? "secure" : "learn",
        passage: one.title,
        why: clean ? "it is clean nearly up to its tempo" : "it is not clean near its tempo yet",
        minutes: 10,
        tempo: Math.round(clean && clean.length > 0 ? Math.max(...clean) : climbed),
        count: { good: plays - ((daysAgo + k) % 3), plays },
        loose: !(isTense && k === 0),
        note: isTense && k === 0 ? "The forearm set in the bar before the leap. Stopped early." : "",
      };
    });
    return [{ daysAgo, blocks: [WARM, ...blocks] }];
  });
}

/** What stands in the invented pianist's diary besides. */
export const DEMO_NOTES: readonly {
  readonly daysAgo: number;
  readonly passage: string | null;
  readonly text: string;
  readonly author: string | null;
}[] = [
  {
    daysAgo: 38,
    passage: "The run over the black keys",
    text: "Keep the hand in among the black keys; the thumb comes only where it must.",
    author: "The teacher in the tower",
  },
  {
    daysAgo: 36,
    passage: "The run over the black keys",
    text: "Thumb on every C and F, bound, however the hand has to move.",
    author: "The grey edition",
  },
  { daysAgo: 30, passage: null, text: "Cold room all week. Warmed up for twice as long, and it helped.", author: null },
  {
    daysAgo: 19,
    passage: "The run over the black keys",
    text: "It is the bar before that hardens, not the one that fails.",
    author: null,
  },
  {
    daysAgo: 8,
    passage: "Thirds up to the turn",
    text: "With the other fingering the turn no longer frightens me.",
    author: null,
  },
  { daysAgo: 2, passage: null, text: "Ran everything through once, slowly, without the pedal.", author: null },
];
