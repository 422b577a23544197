import { barBeats, beatsOf, type Length } from "@/core/entry/length";
import { keyOf, movedBySteps, stepOfWritten, type WrittenPitch } from "@/core/entry/spelling";
import type { Seeded } from "@/core/trials/simulated/seeded";
import { add, beats, compare, subtract, toNumber, ZERO, type Beats } from "@/core/time/beats";
import type { NewBar, NewNote, NewScore } from "@/formats/musicxml/writing/new-score";

const plain = (base: Length["base"], dotted = false): Length => ({ base, dotted, tuplet: null });
const triplet = (base: Length["base"]): Length => ({ base, dotted: false, tuplet: [3, 2] });

/** What fills one quarter note or two, as pianists are given it. */
const FIGURES: readonly (readonly Length[])[] = [
  [plain(4)],
  [plain(8), plain(8)],
  [plain(16), plain(16), plain(16), plain(16)],
  [plain(8, true), plain(16)],
  [plain(8), plain(16), plain(16)],
  [triplet(8), triplet(8), triplet(8)],
  [triplet(4), triplet(8)],
  [plain(2)],
  [plain(8), plain(4), plain(8)],
  [plain(4, true), plain(8)],
  Array.from({ length: 8 }, () => plain(32)),
  Array.from({ length: 6 }, () => triplet(16)),
  Array.from({ length: 5 }, () => ({ ...plain(16), tuplet: [5, 4] as const })),
];
const TIMES = [
  [4, 4],
  [3, 4],
  [2, 4],
  [6, 8],
] as const;

/**
 * A made-up piece for two hands: a line of steps and small leaps in a key, leading notes and passing notes among them as they
 * are spelled, over chords of that key; an upbeat, ties over bar lines, grace notes and a change of time among them.
 */
export function madeMusic(random: Seeded, bars: number): NewScore {
  const fifths = random.whole(-5, 5);
  const time = random.pick(TIMES);
  const own = barsMade(random, bars, time, fifths);
  const tune = new Line(random, fifths, [29, 39]);
  const bass = new Line(random, fifths, [13, 22]);
  const right = own.map(({ length }) => tune.bar(length, 1));
  const left = own.map(({ length }) => bass.chords(length));
  return {
    title: "Made up",
    fifths,
    time,
    tempo: random.whole(54, 132),
    words: "",
    leftClef: "F",
    bars: own,
    voices: [
      { staff: 1, voice: 1, stem: null, bars: right },
      { staff: 2, voice: 5, stem: null, bars: left },
    ],
  };
}

function barsMade(random: Seeded, count: number, time: readonly [number, number], fifths: number): readonly NewBar[] {
  const upbeat = random.chance(0.3);
  const change = random.chance(0.3) ? random.whole(2, Math.max(2, count - 2)) : count;
  const other = random.pick(TIMES);
  return Array.from({ length: count }, (_, i): NewBar => {
    const own = i >= change ? other : time;
    const isUpbeat = upbeat && i === 0;
    return { number: i + (upbeat ? 0 : 1), time: own, fifths, length: isUpbeat ? beats(1, 1) : barBeats(own) };
  });
}

/** One hand's line, walking on from bar to bar. */
class Line {
  private pitch: WrittenPitch;
  private goal: WrittenPitch | null = null;

  /** @param range steps of the scale from the lowest C that it keeps within; C4 is 28 */
  constructor(
    private readonly random: Seeded,
    private readonly fifths: number,
    private readonly range: readonly [low: number, high: number],
  ) {
    this.pitch = movedBySteps({ step: "C", alter: 0, octave: 4 }, Math.round((range[0] + range[1]) / 2) - 28, fifths);
  }

  bar(length: Beats, graces: number): readonly NewNote[] {
    const notes: NewNote[] = [];
    for (let at: Beats = ZERO; compare(at, length) < 0;) {
      const room = subtract(length, at);
      const figure = this.figureFor(room);
      figure.forEach((one, i) => {
        const isRest = this.random.chance(0.06) && figure.length > 1 && i > 0;
        if (!isRest && graces > 0 && i === 0 && this.random.chance(0.05)) notes.push(this.grace());
        notes.push({ pitches: isRest ? [] : [this.walk()], length: one, tied: false });
        at = add(at, beatsOf(one));
      });
    }
    return notes;
  }

  /** Chords of the key under the tune: whole ones, or broken in eighths. */
  chords(length: Beats): readonly NewNote[] {
    const notes: NewNote[] = [];
    for (let at: Beats = ZERO; compare(at, length) < 0;) {
      const root = this.walk(2);
      const chord = [root, movedBySteps(root, 2, this.fifths), movedBySteps(root, 4, this.fifths)];
      const room = toNumber(subtract(length, at));
      const isWhole = this.random.chance(0.4);
      const one = room >= 2 && isWhole ? plain(2) : isWhole && room >= 1 ? plain(4) : plain(8);
      if (isWhole && room >= 1) notes.push({ pitches: chord, length: one, tied: false });
      else notes.push({ pitches: [this.random.pick(chord)], length: one, tied: false });
      at = add(at, beatsOf(one));
    }
    return notes;
  }

  private figureFor(room: Beats): readonly Length[] {
    const fitting = FIGURES.filter((figure) => compare(sum(figure), room) <= 0);
    return fitting.length === 0 ? [plain(8)] : this.random.pick(fitting);
  }

  private grace(): NewNote {
    return { pitches: [movedBySteps(this.pitch, 1, this.fifths)], length: plain(16), tied: false, isGrace: true };
  }

  /** Mostly a step, now and then a third or a fourth; now and then a note half a step from the next, which follows it. */
  private walk(most = 1): WrittenPitch {
    if (this.goal) {
      [this.pitch, this.goal] = [this.goal, null];
      return this.pitch;
    }
    const far = this.random.chance(0.2) ? this.random.whole(2, 3) : this.random.whole(1, most);
    const [low, high] = this.range;
    const height = stepOfWritten(this.pitch);
    const down = height >= high ? 1 : height <= low ? 0 : 0.5;
    const next = movedBySteps(this.pitch, this.random.chance(down) ? -far : far, this.fifths);
    if (most === 1 && this.random.chance(0.06)) {
      const from = this.random.chance(0.6) ? -1 : 1;
      const beside = movedBySteps(next, from, this.fifths);
      const alter = beside.alter + keyOf(next) + from - keyOf(beside);
      if (Math.abs(alter) <= 1) {
        this.goal = next;
        return { ...beside, alter };
      }
    }
    this.pitch = next;
    return next;
  }
}

function sum(lengths: readonly Length[]): Beats {
  return lengths.reduce<Beats>((all, one) => add(all, beatsOf(one)), ZERO);
}
