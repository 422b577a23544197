import type { Side } from "../hand/finger";
import { beats, compare, toNumber, ZERO, type Beats } from "../time/beats";
import { barsOf, type BarHeard } from "./bars";
import type { Choices, DoubtKind } from "./choices";
import { countedBy, endOfAll, type Counted } from "./counted";
import { doubtsOf, type Readings } from "./doubts";
import { handsByCost, type Player } from "./hands-by-cost";
import type { Heard } from "./heard";
import { measuredBy } from "./lengths";
import { metreByEar, type Accented } from "./metre-by-ear";
import { signatureOf } from "./signature";
import { spelledIn } from "./spelling";
import type { Guessed, NoteHeard, Transcript } from "./transcript";
import { TRANSCRIPTION } from "../physics";
import { meanOf, medianOf, spreadOf } from "../trials/statistics";
import { voicedIn } from "./voices";

/**
 * Hears a file of keys as music: its beat, rhythm, bars, key, hands, voices and spelling. What the player says in `choices` is
 * taken as said; everything else is found out, and what could as well be otherwise is named. Deterministic.
 * @param player whose hands share it out where its tracks are not the hands
 * @returns a transcript without notes where nothing was heard
 */
export function transcribed(heard: Heard, choices: Choices, player: Player): Transcript {
  const counted = countedBy(heard, choices);
  const written = heard.keys.flatMap((_, i) => (counted.ornaments.inTrill.has(i) ? [] : [i]));
  const turned = turnedBy(choices);
  const onsets = heard.keys.map((_, i) => {
    const { at, otherwise } = counted.keys[i]!;
    return otherwise !== null && turned("place", i) ? otherwise : at;
  });
  const sides = sidesOf(heard, written, onsets, choices, player, counted);
  const side = (i: number): Side => ((sides.of[i] === "left") !== turned("hand", i) ? "left" : "right");
  const lengths = lengthsOf(heard, written, onsets, counted, side);
  const length = (i: number): Beats => {
    const { length: own, otherwise } = lengths[i]!;
    return otherwise !== null && turned("length", i) ? otherwise : own;
  };
  const placed = written
    .map((index): Placed => {
      const grace = counted.ornaments.graces.get(index);
      return {
        index,
        key: heard.keys[index]!.key,
        at: onsets[index]!,
        side: side(index),
        grace: grace?.order ?? 0,
        length: grace ? ZERO : length(index),
      };
    })
    .sort((a, b) => compare(a.at, b.at) || a.grace - b.grace || a.key - b.key);
  const { guessed, bars } = metreOf(heard, choices, counted, placed, sides.by);
  const voiced = inVoices(placed);
  const spelled = spelledBy(placed, bars, voiced);
  const notes = placed.map((one, i): NoteHeard => {
    const { pitch, otherwise } = spelled[i]!;
    return {
      index: one.index,
      key: one.key,
      at: one.at,
      length: voiced[i]!.length,
      grace: one.grace,
      side: one.side,
      voice: voiced[i]!.voice,
      isTrill: counted.ornaments.trills.has(one.index),
      pitch: otherwise !== null && turned("spelling", one.index) ? otherwise : pitch,
    };
  });
  const spelledOf = new Map(placed.map(({ index }, i) => [index, spelled[i]!]));
  const readings: Readings = { places: counted.keys, lengths, spelled: spelledOf, isTurned: turned };
  return {
    title: heard.title,
    tempo: Math.round(counted.tempo),
    bars,
    notes,
    cells: counted.cells,
    guessed,
    doubts: doubtsOf(notes, bars, readings, guessed.hands),
  };
}

/** A key on its place, in its hand. */
interface Placed {
  readonly index: number;
  readonly key: NoteHeard["key"];
  readonly at: Beats;
  readonly length: Beats;
  readonly grace: number;
  readonly side: Side;
}

function turnedBy({ turned = [] }: Choices): (doubt: DoubtKind, key: number) => boolean {
  const all = new Set(turned.map(({ key, doubt }) => `${doubt} ${key}`));
  return (doubt, key) => all.has(`${doubt} ${key}`);
}

/** The hand of each key: its track's where the two tracks are the hands, else the one it costs less. */
function sidesOf(
  heard: Heard,
  written: readonly number[],
  onsets: readonly Beats[],
  { hands }: Choices,
  player: Player,
  { tempo, keys, ornaments }: Counted,
): { readonly of: readonly Side[]; readonly by: Guessed["hands"] } {
  const { keys: all, tracks } = heard;
  if (tracks.length === 2 && hands !== "cost") {
    const mean = (track: number): number => meanOf(all.filter((key) => key.track === track).map(({ key }) => key));
    const right = mean(0) >= mean(1) ? 0 : 1;
    return { of: all.map(({ track }) => (track === right ? "right" : "left")), by: "tracks" };
  }
  const shared = written.filter((i) => !ornaments.graces.has(i));
  const inTime = [...shared].sort((a, b) => compare(onsets[a]!, onsets[b]!) || all[a]!.key - all[b]!.key);
  const asked = inTime.map((i) => {
    const held = Math.max(1, Math.round((keys[i]!.ends - toNumber(onsets[i]!)) * 16));
    return { key: all[i]!.key, at: onsets[i]!, length: beats(held, 16) };
  });
  const found = handsByCost(asked, player, Math.max(20, Math.min(400, tempo)));
  const of: Side[] = [];
  inTime.forEach((i, place) => (of[i] = found[place]!));
  for (const [grace, { to }] of ornaments.graces) of[grace] = of[to] ?? "right";
  return { of, by: "cost" };
}

function lengthsOf(
  heard: Heard,
  written: readonly number[],
  onsets: readonly Beats[],
  { keys, cells, isExact, ornaments, beat }: Counted,
  side: (i: number) => Side,
): ReturnType<typeof measuredBy>[] {
  const spread = isExact ? TRANSCRIPTION.exactOff : 0;
  const found: ReturnType<typeof measuredBy>[] = [];
  for (const hand of ["right", "left"] as const) {
    const own = written.filter((i) => side(i) === hand && !ornaments.graces.has(i));
    const inTime = [...new Set(own.map((i) => onsets[i]!))].sort(compare);
    for (const i of own) {
      const last = ornaments.trills.get(i)?.last ?? i;
      const ends = last === i ? keys[i]!.ends : beat === "file" ? heard.keys[last]!.ends : keys[last]!.ends;
      const at = onsets[i]!;
      let from = inTime.indexOf(at);
      if (from < 0) from = 0;
      found[i] = measuredBy({ at, ends }, inTime.slice(from, from + MOST_ONSETS), cells, spread);
    }
  }
  for (const i of ornaments.graces.keys()) found[i] = { length: ZERO, otherwise: null };
  return found;
}

/** Onsets of a hand ahead that bear on a length. */
const MOST_ONSETS = 30;

/** Bars and key: as the player or the file says, else by ear. */
function metreOf(
  heard: Heard,
  { time, upbeat, fifths, finest = 32 }: Choices,
  { beat }: Counted,
  placed: readonly Placed[],
  hands: Guessed["hands"],
): { readonly guessed: Guessed; readonly bars: readonly BarHeard[] } {
  const isTimeStated = beat === "file" && heard.times.length > 0 && time === undefined;
  const isSignatureStated = heard.signatures.length > 0 && beat === "file" && fifths === undefined;
  const byEar = isTimeStated ? { time: heard.times[0]!.time, upbeat: 0 } : metreByEar(accentsOf(heard, placed));
  const before = beats(Math.round((upbeat ?? (time ? 0 : byEar.upbeat)) * 12), 12);
  const key = fifths ?? signatureOf(heard.keys);
  const bars = barsOf({
    times: isTimeStated ? heard.times : [{ at: 0, time: time ?? byEar.time }],
    signatures: isSignatureStated ? heard.signatures : [{ at: 0, fifths: key }],
    upbeat: before,
    until: endOfAll(placed),
  });
  const first = bars[0]!;
  return {
    bars,
    guessed: {
      beat,
      time: first.time,
      isTimeStated,
      upbeat: first.number === 0 ? first.length : ZERO,
      fifths: first.fifths,
      isSignatureStated,
      hands,
      hasTwoTracks: heard.tracks.length === 2,
      finest,
    },
  };
}

/** How much each onset stands out: louder, longer, with more keys, or lower than those about it. */
function accentsOf(heard: Heard, placed: readonly Placed[]): readonly Accented[] {
  const moments = new Map<Beats, Placed[]>();
  for (const one of placed) moments.set(one.at, [...(moments.get(one.at) ?? []), one]);
  const all = [...moments].map(([at, own]) => ({
    at: toNumber(at),
    keys: own.length,
    loud: Math.max(...own.map(({ index }) => heard.keys[index]!.velocity)),
    long: Math.max(0.05, ...own.map(({ length }) => toNumber(length))),
    lowest: Math.min(...own.map(({ key }) => key as number)),
  }));
  const loud = all.map((one) => one.loud);
  const [middle, spread] = [meanOf(loud), Math.max(1, spreadOf(loud))];
  const usual = medianOf(all.map(({ long }) => long));
  return all.map((one, i) => {
    const about = all.slice(Math.max(0, i - LOW_ABOUT), i + LOW_ABOUT + 1);
    const isLowest = about.every(({ lowest }, k) => about[k] === one || lowest > one.lowest);
    const { accent } = TRANSCRIPTION;
    const weight =
      1 +
      (accent.loud * (one.loud - middle)) / spread +
      accent.keys * (one.keys - 1) +
      accent.long * Math.log2(one.long / usual) +
      (isLowest ? accent.low : 0);
    return { at: one.at, weight: Math.max(0.05, weight) };
  });
}

/** Onsets to either side among which one is the lowest. */
const LOW_ABOUT = 4;

/** Voices of both hands; a grace note stands in the voice of its note. */
function inVoices(placed: readonly Placed[]): readonly { readonly voice: number; readonly length: Beats }[] {
  const found: { voice: number; length: Beats }[] = [];
  for (const hand of ["right", "left"] as const) {
    const own = placed.flatMap((one, i) => (one.side === hand && one.grace === 0 ? [i] : []));
    voicedIn(own.map((i) => placed[i]!)).forEach((voiced, k) => (found[own[k]!] = voiced));
  }
  placed.forEach((one, i) => {
    if (one.grace === 0) return;
    const main = placed.findIndex((other) => other.grace === 0 && other.at === one.at && other.side === one.side);
    found[i] = { voice: found[main]?.voice ?? 0, length: ZERO };
  });
  return found;
}

function spelledBy(
  placed: readonly Placed[],
  bars: readonly BarHeard[],
  voiced: readonly { readonly voice: number }[],
): ReturnType<typeof spelledIn> {
  const lastOf = new Map<string, number>();
  const [before, after] = [new Map<number, number>(), new Map<number, number>()];
  placed.forEach((one, i) => {
    const line = `${one.side} ${voiced[i]!.voice}`;
    const last = lastOf.get(line);
    if (last !== undefined && compare(placed[last]!.at, one.at) <= 0) {
      before.set(i, placed[last]!.key);
      if (!after.has(last)) after.set(last, one.key);
    }
    lastOf.set(line, i);
  });
  let bar = 0;
  return spelledIn(
    placed.map(({ key, at }, i) => {
      while (bar + 1 < bars.length && compare(bars[bar + 1]!.start, at) <= 0) bar++;
      const { fifths } = bars[bar]!;
      return { key, at: toNumber(at), fifths, before: before.get(i) ?? null, after: after.get(i) ?? null };
    }),
  );
}
