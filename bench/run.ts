import { bestFingerings, fingering, latticesOf, type Solved, type Study } from "@/core/fingering/study/study";
import { drain } from "@/core/drain";
import type { Pins } from "@/core/fingering/study/fingering";
import { handOfRulerSpan } from "@/core/hand/hand";
import { FINGERS, type Side } from "@/core/hand/finger";
import { FULL_SIZE } from "@/core/keyboard/instrument";
import { pitch } from "@/core/keyboard/pitch";
import type { Hold } from "@/core/placement/placement";
import { placementsOf } from "@/core/placement/placements";
import { solvePlacement } from "@/core/placement/solve";
import { barsOf, surveying } from "@/core/reach/survey";
import { passageOfKeys } from "@/core/passage/of-keys";
import { figuresOf } from "@/core/figures/find";
import { bestLeaning } from "@/core/options/leaning-study";
import { balanced } from "@/core/options/leanings/balanced";
import { offering } from "@/core/options/offering";
import { planOf } from "@/core/motion/plan/plan";
import { share } from "@/core/options/sharing/sharing";
import { readTake } from "@/core/trials/alignment/read-take";
import { expectedOf } from "@/core/trials/expected";
import type { KeyStruck, Take } from "@/core/trials/take";
import { seeded, type Seeded } from "../tests/support/seeded";
import { accompaniment, bySteps, chords, line, longPiece, MIDDLE } from "./music";

/** `npm run bench`: prints figures of speed. Nothing here passes or fails. */

const LOOKUPS = 125;

function hands(): Study["hands"] {
  return { right: handOfRulerSpan("right", MIDDLE), left: handOfRulerSpan("left", MIDDLE) };
}

function study(keys: readonly (number | readonly number[])[], side: Side = "right"): Study {
  return {
    passage: passageOfKeys(keys, "1/4", side),
    hands: hands(),
    instrument: FULL_SIZE,
    manner: { tempo: 96, touch: "legato", pedal: false },
  };
}

/** The same with hands of which nothing is known yet. */
function anew(given: Study): Study {
  return { ...given, hands: hands() };
}

/** Median ms of several runs after one to warm up. */
function median(runs: number, work: () => void): number {
  work();
  const times = Array.from({ length: runs }, () => {
    const from = performance.now();
    work();
    return performance.now() - from;
  });
  return times.sort((a, b) => a - b)[Math.floor(runs / 2)]!;
}

/** The bare bound: so many table look-ups a note with a minimum over them, and nothing else. */
function bareBound(notes: number): number {
  const table = Float64Array.from({ length: LOOKUPS * 64 }, (_, i) => ((i * 7919) % 1009) / 1009);
  let kept = 0;
  const ms = median(9, () => {
    for (let n = 0; n < notes; n++) {
      let least = Infinity;
      const base = (n % 64) * LOOKUPS;
      for (let i = 0; i < LOOKUPS; i++) {
        const value = table[base + i]!;
        if (value < least) least = value;
      }
      kept += least;
    }
  });
  if (Number.isNaN(kept)) throw new Error("The bound computed nothing.");
  return ms;
}

function perSecond(count: number, ms: number): string {
  return Math.round(count / (ms / 1000)).toLocaleString("en-GB");
}

const random = seeded(64);
const row = (what: string, figure: string): void => console.log(`${what.padEnd(66)} ${figure}`);

row(`bare bound, ${LOOKUPS} look-ups a note, 10,000 notes`, `${bareBound(10_000).toFixed(2)} ms`);
const perNote: string[] = [];
for (const notes of [100, 1_000, 10_000, 100_000]) {
  const given = study(line(random, notes));
  const before = process.memoryUsage().heapUsed;
  const runs = notes > 20_000 ? 1 : 3;
  const ms = median(runs, () => void bestFingerings(anew(given), {}, 1));
  const known = median(runs, () => void bestFingerings(given, {}, 1));
  const grown = (process.memoryUsage().heapUsed - before) / notes / 1024;
  perNote.push(`${((1000 * ms) / notes).toFixed(1)} at ${notes.toLocaleString("en-GB")}`);
  row(
    `search, one line of ${notes.toLocaleString("en-GB")} notes`,
    `${ms.toFixed(0)} ms, and ${known.toFixed(0)} ms by hands that have played it, ${(known / bareBound(notes)).toFixed(1)} times the bare bound, ${grown.toFixed(1)} KiB a note still on the heap`,
  );
}
row("microseconds a note", perNote.join(", "));
const lines = Array.from({ length: 31 }, () => study(line(random, 100)));
const each = median(30, () => void bestFingerings(lines.pop()!, {}, 1));
row("lines of 100 notes one after another, each from nothing", `${each.toFixed(0)} ms a line`);
const struck = study(chords(random, 2_000));
const chordBound = bareBound(2_000);
const chordsCold = median(3, () => void bestFingerings(anew(struck), {}, 1));
const placements = {
  right: placementsOf(struck.hands.right, FULL_SIZE),
  left: placementsOf(struck.hands.left, FULL_SIZE),
};
const chordsKnown = median(3, () => void bestFingerings({ ...struck, placements }, {}, 1));
row(
  "search, 2,000 four-note chords, and by hands that have played them",
  `${chordsCold.toFixed(0)} ms and ${chordsKnown.toFixed(0)} ms, ${(chordsKnown / chordBound).toFixed(0)} times the bare bound of as many notes`,
);

const passage = study(line(random, 64));
const pinned = passage.passage.notes[30]!.id;
const cold = median(31, () => void bestFingerings(anew(passage), { pins: { [pinned]: 3 } as Pins }, 1));
row(
  "a 64-note passage worked out with a pin, from nothing",
  `${cold.toFixed(2)} ms, ${(cold / bareBound(64)).toFixed(0)} times the bare bound`,
);
const lattices = latticesOf(passage);
const again = median(31, () => void drain(fingering(lattices, { pins: { [pinned]: 3 } as Pins }, 1)));
row(
  "the same worked out anew after a pin, on the lattice kept",
  `${again.toFixed(2)} ms, ${(again / bareBound(64)).toFixed(1)} times the bare bound`,
);

/** Sets of one to five fingers on keys within about an octave. */
function holds(random: Seeded, count: number): Hold[][] {
  return Array.from({ length: count }, () => {
    let key = random.whole(48, 70);
    const fingers = FINGERS.filter(() => random.chance(0.6));
    return (fingers.length > 0 ? fingers : FINGERS).map((finger) => ({
      finger,
      key: pitch((key += random.whole(1, 4))),
    }));
  });
}

const sets = holds(random, 2000);
const hand = handOfRulerSpan("right", MIDDLE);
const solved = median(3, () => sets.forEach((set) => solvePlacement(hand, FULL_SIZE, set)));
row("placements, cold, sets of one to five fingers", `${perSecond(sets.length, solved)} a second`);
const kept = placementsOf(hand, FULL_SIZE);
const known = median(9, () => sets.forEach((set) => kept.look(set)));
row(`the same from the cache, ${kept.size()} entries`, `${perSecond(sets.length, known)} a second`);

const pieceData = longPiece(random, 200);
const surveyMs = median(1, () => void drain(surveying(barsOf(pieceData), pieceData.allows)));
row("survey of 200 bars, chords in both hands, a tenth of them out of reach", `${surveyMs.toFixed(0)} ms`);
/** A passage for both hands: single notes that may go to either. */
function shareable(random: Seeded, onsets: number): Study {
  const given = study(line(random, onsets));
  const notes = given.passage.notes.map((n) => ({ ...n, staff: n.pitch < 60 ? 2 : 1 }));
  return { ...given, passage: { notes, hands: "both", staves: 2 } };
}
const both = shareable(random, 64);
const shared = median(3, () => void share(anew(both), { allowed: "all" }));
row("both hands with free distribution, 64 onsets", `${shared.toFixed(0)} ms`);
const figures = median(9, () => void figuresOf(passage));
row("figures that return in a 64-note passage", `${figures.toFixed(1)} ms`);
const offers = median(5, () => void drain(offering(anew(passage), {}, 5)));
row("5 distinct options of a 64-note passage, leanings among them", `${offers.toFixed(0)} ms`);
for (const [what, keys] of [
  ["an accompaniment from chord to chord", accompaniment(random, 480)],
  ["a line by steps", bySteps(random, 480)],
] as const) {
  let exact = true;
  const tied = median(3, () => ([{ exact }] = bestLeaning(study(keys, "left"), balanced, {}, 1) as [Solved]));
  row(`${what} of 480 notes, with all it remembers`, `${tied.toFixed(0)} ms${exact ? "" : ", not to the end"}`);
}
for (const k of [5, 40]) {
  const best = median(11, () => void bestFingerings(anew(passage), {}, k));
  const known = median(11, () => void bestFingerings(passage, {}, k));
  row(
    `the ${k} best of a 64-note passage`,
    `${best.toFixed(1)} ms, and ${known.toFixed(1)} ms by hands that have played it`,
  );
}

/** A line of so many onsets, every eighth a chord, with its best fingering. */
function fingeredLine(onsets: number) {
  const random = seeded(500);
  const keys = line(random, onsets).map((key, i) => (i % 8 === 0 ? [key, key + 4, key + 7] : key));
  const music = study(keys);
  return { music, fingering: bestFingerings(music, {}, 1)[0]! };
}

for (const onsets of [64, 500]) {
  const { music, fingering: digits } = fingeredLine(onsets);
  const cold = performance.now();
  planOf(music, digits);
  row(`hand plan of ${onsets} onsets, nothing known yet`, `${(performance.now() - cold).toFixed(0)} ms`);
  const hands = { right: placementsOf(music.hands.right, FULL_SIZE), left: placementsOf(music.hands.left, FULL_SIZE) };
  const known = { ...music, placements: hands };
  row(`the same, placements known`, `${median(5, () => void planOf(known, digits)).toFixed(0)} ms`);
}

/** A take of given music, with a fault in every twentieth note. */
function taken(given: Study): readonly [ReturnType<typeof expectedOf>, Take] {
  const onsets = expectedOf(given);
  let count = 0;
  const keys = onsets.flatMap(({ at, notes }) =>
    notes.flatMap((note): KeyStruck[] => {
      const downMs = at * 625 + random.whole(-8, 8);
      const struck = { key: note.key, downMs, upMs: downMs + 150, velocity: 64 };
      const beside = { ...struck, key: pitch(note.key + 1), downMs: downMs + 15 };
      return ++count % 20 !== 0 ? [struck] : random.pick([[], [beside], [struck, beside]]);
    }),
  );
  return [onsets, { keys, pedal: [], source: "midi file", tempo: 96, click: false, hands: "right", snip: null }];
}
for (const notes of [64, 1_000, 10_000]) {
  const [onsets, take] = taken(study(line(random, notes)));
  const from = performance.now();
  readTake(onsets, take);
  const first = performance.now() - from;
  const ms = median(notes > 5_000 ? 3 : 200, () => void readTake(onsets, take));
  const said = `${first.toFixed(1)} ms the first time, then ${ms.toFixed(1)} ms`;
  row(`a take of ${notes.toLocaleString("en-GB")} notes held against its passage`, said);
}
for (const period of [4, 16, 64]) {
  const bar = line(random, period);
  const [onsets, take] = taken(study(Array.from({ length: 10_000 }, (_, i) => bar[i % period]!)));
  const ms = median(3, () => void readTake(onsets, take));
  row(`the same of 10,000 notes, ${period} of them again and again`, `${ms.toFixed(1)} ms`);
}
for (const voices of [2, 4]) {
  const chord = (key: number): number[] => [0, 4, 7, 12].slice(0, voices).map((above) => key + above);
  const [onsets, take] = taken(study(line(random, 10_000 / voices).map(chord)));
  const ms = median(3, () => void readTake(onsets, take));
  row(`the same of 10,000 notes, all in chords of ${voices}`, `${ms.toFixed(1)} ms`);
}
