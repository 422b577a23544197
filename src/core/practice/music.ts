import type { Entry, EntryBar, Item, Mark, VoiceIndex } from "../entry/entry";
import { barBeats, beatsOf, lengthsFor, type Length } from "../entry/length";
import { spell } from "../entry/spelling";
import type { Fingering } from "../fingering/study/fingering";
import type { Finger, Side } from "../hand/finger";
import type { Pitch } from "../keyboard/pitch";
import type { NoteId } from "../passage/note";
import { add, beats, compare, multiply, subtract, ZERO, type Beats } from "../time/beats";

/** A moment of a drill: keys struck together with their fingers; none for a rest. */
export interface DrillEvent {
  readonly keys: readonly { readonly key: Pitch; readonly finger: Finger | null }[];
  /** Quarter notes. */
  readonly length: Beats;
  readonly mark?: Mark;
}

/** What a drill sounds, hand by hand. */
export interface DrillMusic {
  readonly time: Entry["time"];
  /** Quarter notes a minute. */
  readonly tempo: number;
  /** What stands over it, where anything does. */
  readonly words?: string;
  readonly hands: readonly HandMusic[];
}

interface HandMusic {
  readonly side: Side;
  /** Whether it stands under other music of the same hand: what is held while that moves. */
  readonly isUnder?: boolean;
  readonly events: readonly DrillEvent[];
}

/** A drill written out: music that is engraved, played and exported like any other, and its fingers by its own notes' names. */
export interface DrillWritten {
  readonly entry: Entry;
  readonly digits: Fingering;
}

/**
 * Writes a drill in a key signature, bar by bar. What goes past a bar line is tied over it; lengths that are no plain or
 * dotted ones are tied too, and thirds of a beat are written as triplets.
 * @param fifths sharps positive, flats negative
 */
export function written({ time, tempo, words, hands }: DrillMusic, title: string, fifths: number): DrillWritten {
  const voices = hands.map((hand) => ({ voice: voiceOf(hand), bars: barsOf(hand.events, time, fifths) }));
  const count = Math.max(1, ...voices.map(({ bars }) => bars.length));
  const digits: Record<NoteId, Finger> = {};
  const bars = Array.from({ length: count }, (_, bar): EntryBar => {
    const all: [Item[], Item[], Item[], Item[]] = [[], [], [], []];
    for (const { voice, bars: own } of voices) {
      const { staff, number } = voice < 2 ? { staff: 1, number: voice + 1 } : { staff: 2, number: voice + 3 };
      let order = 0;
      for (const { item, fingers } of own[bar] ?? []) {
        all[voice].push({ ...item, id: `d${bar}-${voice}-${all[voice].length}` });
        for (const finger of fingers) {
          order++;
          if (finger !== null) digits[`b${bar + 1}-s${staff}-v${number}-n${order}` as NoteId] = finger;
        }
      }
    }
    return all;
  });
  return { entry: { title, fifths, time, tempo, ...(words ? { words } : {}), bars }, digits };
}

function voiceOf({ side, isUnder }: HandMusic): VoiceIndex {
  if (side === "right") return isUnder ? 1 : 0;
  return isUnder ? 3 : 2;
}

interface Written {
  readonly item: Omit<Item, "id">;
  /** Of its pitches in order; null where none is written: of a rest there are none, of what is tied to only nulls. */
  readonly fingers: readonly (Finger | null)[];
}

const THIRD = beats("1/3");

function barsOf(events: readonly DrillEvent[], time: Entry["time"], fifths: number): readonly (readonly Written[])[] {
  const full = barBeats(time);
  const bars: Written[][] = [[]];
  let used: Beats = ZERO;
  for (const { keys, length, mark } of events) {
    const pitches = keys.map(({ key }) => spell(key, fifths));
    const fingers = keys.map(({ finger }) => finger);
    let left = length;
    let isFirst = true;
    while (compare(left, ZERO) > 0) {
      if (compare(used, full) >= 0) {
        bars.push([]);
        used = ZERO;
      }
      const room = subtract(full, used);
      const here = compare(left, room) < 0 ? left : room;
      const lengths = writtenAs(here);
      left = subtract(left, here);
      lengths.forEach((one, i) => {
        const goesOn = i < lengths.length - 1 || compare(left, ZERO) > 0;
        bars.at(-1)!.push({
          item: {
            pitches,
            length: one,
            tied: pitches.length > 0 && goesOn,
            ...(isFirst && mark ? { mark } : {}),
          },
          fingers: isFirst ? fingers : fingers.map(() => null),
        });
        isFirst = false;
      });
      used = add(used, here);
    }
  }
  return bars;
}

/** Written lengths that together last so long, longest first. */
function writtenAs(length: Beats): readonly Length[] {
  const plain = lengthsFor(length);
  const sum = plain.reduce((all, one) => add(all, beatsOf(one)), ZERO);
  if (compare(sum, length) === 0) return plain;
  // A third of a beat and its like: the plain length half as long again, in a triplet.
  return lengthsFor(multiply(length, beats("3/2"))).map((one) => ({ ...one, tuplet: [3, 2] as const }));
}

/** Whether a length can be written: in plain lengths of a thirty-second or more, or in triplets of them. */
export function canBeWritten(length: Beats): boolean {
  const sum = writtenAs(length).reduce((all, one) => add(all, beatsOf(one)), ZERO);
  return compare(sum, length) === 0 && compare(length, multiply(THIRD, beats("1/8"))) >= 0;
}
