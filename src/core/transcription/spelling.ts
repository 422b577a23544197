import { spellingsOf, stepOfWritten, type WrittenPitch } from "../entry/spelling";
import type { Pitch } from "../keyboard/pitch";
import { TRANSCRIPTION } from "../physics";

/** A key to be spelled. */
export interface Unspelled {
  readonly key: Pitch;
  /** Quarter notes. */
  readonly at: number;
  /** Key signature in force: sharps positive. */
  readonly fifths: number;
  /** Of the same line of the music: its last key and its next, where there are any. */
  readonly before: number | null;
  readonly after: number | null;
}

export interface Spelled {
  readonly pitch: WrittenPitch;
  /** Another way that would be nearly as good; null where there is no doubt. */
  readonly otherwise: WrittenPitch | null;
}

/**
 * How keys are written. Each is taken as near on the line of fifths as can be to its key signature and to what sounds about
 * it (after Temperley, The Cognition of Basic Musical Structures, 2001, chapter 5), and so that a step in its line is
 * written as a step: a leading note below its goal, a lowered one above it. Spelled from the signature first, then each
 * again by its neighbours until nothing changes.
 * @param notes in order of time
 */
export function spelledIn(notes: readonly Unspelled[]): readonly Spelled[] {
  const ways = notes.map(({ key }) => spellingsOf(key, 2));
  const places = ways.map((own) => own.map(fifthOf));
  const chosen = byWindows(notes, places);
  const costs = (i: number): readonly number[] =>
    places[i]!.map((place, way) => {
      const note = notes[i]!;
      return fromSignature(place, note.fifths) + aroundIt(i, place) + inItsLine(ways[i]![way]!, note);
    });
  const aroundIt = (i: number, place: number): number => {
    let [sum, weights] = [0, 0];
    for (const step of [-1, 1])
      for (
        let k = i + step, seen = 0;
        k >= 0 && k < notes.length && seen < TRANSCRIPTION.heardAbout;
        k += step, seen++
      ) {
        const apart = Math.abs(notes[k]!.at - notes[i]!.at);
        if (apart > TRANSCRIPTION.heardFor) break;
        const weight = 1 / (1 + apart);
        sum += weight * Math.max(0, Math.abs(places[k]![chosen[k]!]! - place) - 6);
        weights += weight;
      }
    return weights === 0 ? 0 : (TRANSCRIPTION.aboutWeight * sum) / weights;
  };
  for (let round = 0, changed = true; changed && round < MOST_ROUNDS; round++) {
    changed = false;
    for (let i = 0; i < notes.length; i++) {
      const next = cheapest(costs(i));
      if (next !== chosen[i]) [changed, chosen[i]] = [true, next];
    }
  }
  return notes.map((_, i) => {
    const own = costs(i);
    const best = chosen[i]!;
    const second = cheapest(own.map((cost, way) => (way === best ? Infinity : cost)));
    const isDoubtful = own[second]! - own[best]! < TRANSCRIPTION.doubtfulSpelling;
    return { pitch: ways[i]![best]!, otherwise: isDoubtful ? ways[i]![second]! : null };
  });
}

/** How far a window of twelve neighbouring fifths may lie from that of the key. */
const WINDOWS = Array.from({ length: 11 }, (_, i) => i - 5);

/**
 * A first spelling: what sounds within a quarter note is spelled out of one window of twelve neighbouring fifths, in which
 * every key has one name; windows near the key and near the one before are cheaper. By dynamic programming over quarter notes.
 */
function byWindows(notes: readonly Unspelled[], places: readonly (readonly number[])[]): number[] {
  const groups: number[][] = [];
  notes.forEach(({ at }, i) => {
    const last = groups.at(-1)?.[0];
    if (last !== undefined && Math.floor(notes[last]!.at) === Math.floor(at)) groups.at(-1)!.push(i);
    else groups.push([i]);
  });
  let ways: readonly { readonly total: number; readonly windows: readonly number[] }[] = WINDOWS.map(() => NO_WAY);
  for (const group of groups)
    ways = WINDOWS.map((window) => {
      const own = group.reduce((sum, i) => {
        const place = placeIn(places[i]!, notes[i]!.fifths + window);
        const centre = notes[i]!.fifths + window + CENTRE;
        return sum + fromSignature(place, notes[i]!.fifths) + TRANSCRIPTION.windowWeight * Math.abs(place - centre);
      }, 0);
      const froms = ways.map(({ total }, k) => total + TRANSCRIPTION.windowMoved * Math.abs(WINDOWS[k]! - window));
      const best = cheapest(froms);
      return { total: froms[best]! + own, windows: [...ways[best]!.windows, window] };
    });
  const { windows } = ways[cheapest(ways.map(({ total }) => total))]!;
  const chosen: number[] = [];
  groups.forEach((group, g) => {
    for (const i of group) chosen[i] = places[i]!.indexOf(placeIn(places[i]!, notes[i]!.fifths + windows[g]!));
  });
  return chosen;
}

const NO_WAY = { total: 0, windows: [] };
/** From the key's own place to the middle of its twelve fifths: C major has E flat to G sharp. */
const CENTRE = 2.5;

/** The one name of a key in a window, or the nearest to it. */
function placeIn(places: readonly number[], at: number): number {
  return places.reduce((a, b) => (Math.abs(b - at - CENTRE) < Math.abs(a - at - CENTRE) ? b : a));
}

const MOST_ROUNDS = 8;
const LINE_OF_FIFTHS = "FCGDAEB";

/** Place on the line of fifths: C 0, G 1, F sharp 6, B flat -2. */
function fifthOf({ step, alter }: WrittenPitch): number {
  return LINE_OF_FIFTHS.indexOf(step) - 1 + 7 * alter;
}

/**
 * How far a place on the line of fifths lies outside what is usual in a key: the seven steps of the signature cost nothing,
 * the five raised or lowered ones most used in the major and the minor key of the signature little, others more and more.
 */
function fromSignature(place: number, fifths: number): number {
  const own = place - fifths;
  if (own >= -1 && own <= 5) return 0;
  // Raised steps lie above, lowered ones below: one raised is as usual as one lowered a fifth nearer.
  const out = own > 5 ? own - 5 : -1 - own;
  return TRANSCRIPTION.outsideKey * out;
}

/** A half step to the next key, or from the last, is a step of the scale: not one name with another sign. */
function inItsLine(way: WrittenPitch, { key, before, after, fifths }: Unspelled): number {
  let sum = 0;
  const isOutside = fromSignature(fifthOf(way), fifths) > 0;
  if (!isOutside) return 0;
  for (const [other, weight] of [
    [after, TRANSCRIPTION.goalWeight],
    [before, TRANSCRIPTION.goalWeight / 2],
  ] as const) {
    if (other === null || Math.abs(other - key) !== 1) continue;
    const goal = spellingsOf(other, 2).reduce((a, b) =>
      fromSignature(fifthOf(b), fifths) < fromSignature(fifthOf(a), fifths) ? b : a,
    );
    if (stepOfWritten(goal) === stepOfWritten(way)) sum += weight;
  }
  return sum;
}

function cheapest(costs: readonly number[]): number {
  return costs.reduce((best, cost, i) => (cost < costs[best]! - 1e-12 ? i : best), 0);
}
