/** How one onset is fingered: its keys and their fingers, both lowest key first; 0 where none plays. */
export interface Fingered {
  readonly keys: readonly number[];
  readonly fingers: readonly number[];
}

/** What a pianist would ask of a fingering where many are good: for each onset it judges, whether it is fingered well. */
export type Rule = (all: readonly Fingered[]) => readonly boolean[];

const isBlack = (key: number): boolean => [1, 3, 6, 8, 10].includes(key % 12);

/** Of each onset after the first, whether it goes well with the one before. */
function inTurn(all: readonly Fingered[], good: (before: Fingered, now: Fingered) => boolean): readonly boolean[] {
  return all.slice(1).map((now, i) => good(all[i]!, now));
}

/** The same keys, or fingers, in a voice: the highest that is struck, or the lowest. */
const highest = <T>(of: readonly T[]): T => of.at(-1)!;
const lowest = <T>(of: readonly T[]): T => of[0]!;

/** No finger comes twice running on two keys of a voice. */
function changing(all: readonly Fingered[], voice: <T>(of: readonly T[]) => T): readonly boolean[] {
  return inTurn(
    all,
    (before, now) => voice(before.keys) === voice(now.keys) || voice(before.fingers) !== voice(now.fingers),
  );
}

export const RULES: Readonly<Record<string, Rule>> = {
  /** Of the notes before the first thumb, and of those after the last, neighbours in the scale have neighbouring fingers. */
  edges(all) {
    const fingers = all.map((a) => a.fingers[0]!);
    const [first, last] = [fingers.indexOf(1), fingers.lastIndexOf(1)];
    return fingers.flatMap((finger, i) =>
      i < first || i - 1 > last ? (i === 0 ? [] : [Math.abs(finger - fingers[i - 1]!) === 1]) : [],
    );
  },

  /** The thumb on white alone, no thumb to little finger or to itself, the little finger at an end only. */
  chromatic: (all) =>
    all.map(({ keys, fingers }, i) => {
      const [finger, before] = [fingers[0]!, all[i - 1]?.fingers[0]];
      const isEnd = i === 0 || i === all.length - 1;
      if ((finger === 1 && isBlack(keys[0]!)) || (finger === 5 && !isEnd)) return false;
      return before === undefined || (finger !== before && finger + before !== 6) || (finger === 3 && before === 3);
    }),

  /** 1 and 5, on black keys 1 and 4 too. */
  octaves: (all) =>
    all.map(({ keys, fingers }) => {
      const [a, b] = [Math.min(...fingers), Math.max(...fingers)];
      return a === 1 && (b === 5 || (b === 4 && isBlack(keys[0]!)));
    }),

  /** The pair of fingers is never the same twice running, and never only one of them changes its key with a hop in both. */
  changing: (all) => inTurn(all, (before, now) => before.fingers.join() !== now.fingers.join()),
  /** The same, each pair with one finger between the two. */
  "thirds in turn": (all) =>
    all.map(({ fingers: [a, b] }, i) => Math.abs(a! - b!) === 2 && all[i - 1]?.fingers.join() !== `${a},${b}`),
  "changing above": (all) => changing(all, highest),
  "changing below": (all) => changing(all, lowest),

  /** A bound single line: no finger on two keys running. */
  "no hop": (all) => inTurn(all, (a, b) => a.keys[0] === b.keys[0] || a.fingers[0] !== b.fingers[0]),

  "one finger": (all) => inTurn(all, (a, b) => a.fingers[0] === b.fingers[0]),
  "fingers change": (all) => inTurn(all, (a, b) => a.fingers[0] !== b.fingers[0]),

  /** One pair of fingers throughout, and not 4 and 5. */
  trill: (all) =>
    all.map(({ fingers }, i) => {
      const pair = [all[0]!.fingers[0]!, all[1]!.fingers[0]!];
      return fingers[0] === pair[i % 2] && pair[0] !== pair[1] && pair[0]! + pair[1]! < 9;
    }),

  /** Quick neighbours without 4 and 5. */
  strong: (all) => inTurn(all, (a, b) => a.fingers[0] !== b.fingers[0] && Math.min(a.fingers[0]!, b.fingers[0]!) < 4),

  /** The highest voice, held or struck, never has one finger on two keys running. Judged where it moves. */
  "tune changes": (all) => movesOf(all, highest, 4),
  "bass changes": (all) => movesOf(all, lowest, 4),
};

/** Judges the outer voice at every n-th onset, where it is struck. */
function movesOf(all: readonly Fingered[], voice: <T>(of: readonly T[]) => T, each: number): readonly boolean[] {
  const most = Math.max(...all.map((a) => a.keys.length));
  const struck = all.filter((a, i) => (most > 1 ? a.keys.length === most : i % each === 0));
  return changing(struck, voice);
}
