import fc from "fast-check";
import { compare, ZERO } from "../time/beats";
import {
  insertBar,
  moveBySemitones,
  moveBySteps,
  put,
  remove,
  removeBar,
  replaceKeys,
  respell,
  setLength,
  setTime,
  toggleKey,
  toggleTie,
  toVoice,
  walk,
} from "./changes";
import { EMPTY_BAR, roomIn, VOICES, type EntryChanged, type Entry } from "./entry";
import { barBeats, beatsOf, lengthsFor, sumOf, type Length } from "./length";
import { keyOf, nearestKey, spell } from "./spelling";

const QUARTER: Length = { base: 4, dotted: false, tuplet: null };
const HALF: Length = { ...QUARTER, base: 2 };
const TRIPLET: Length = { base: 8, dotted: false, tuplet: [3, 2] };
const EMPTY: Entry = { title: "Entered", fifths: 0, time: [4, 4], tempo: 90, bars: [EMPTY_BAR] };
const START: EntryChanged = { entry: EMPTY, cursor: { bar: 0, voice: 0, at: 0 }, complaint: null };

let names = 0;
const name = (): string => `i${names++}`;
const putting = (from: EntryChanged, keys: readonly number[], length = QUARTER): EntryChanged =>
  put(from.entry, from.cursor, keys, length, name);
const shown = ({ entry }: EntryChanged, voice: 0 | 1 | 2 | 3 = 0) =>
  entry.bars.map((bar) =>
    bar[voice].map(
      ({ pitches, length, tied }) => `${pitches.map(keyOf).join("+") || "r"}/${length.base}${tied ? "~" : ""}`,
    ),
  );

describe("entering music step by step", () => {
  it("goes on into a new bar when one is full, and ties over the bar line", () => {
    let now = START;
    for (const key of [60, 62, 64]) now = putting(now, [key]);
    now = putting(now, [65, 69], HALF);
    expect(shown(now)).toEqual([["60/4", "62/4", "64/4", "65+69/4~"], ["65+69/4"]]);
    expect(now.cursor).toEqual({ bar: 1, voice: 0, at: 1 });
  });

  it("puts rests, chords and tuplets", () => {
    let now = putting(putting(START, []), [60, 67, 64]);
    for (const key of [70, 72, 74]) now = putting(now, [key], TRIPLET);
    expect(shown(now)).toEqual([["r/4", "60+64+67/4", "70/8", "72/8", "74/8"]]);
    expect(roomIn(now.entry, now.cursor)).toBe("1");
  });

  it("edits what stands: keys, length, tie, place on the staff, spelling", () => {
    const two = putting(putting(START, [60]), [66]);
    const at = (change: (entry: Entry, cursor: EntryChanged["cursor"]) => EntryChanged) =>
      change(two.entry, two.cursor);
    expect(shown(at((e, c) => toggleKey(e, c, 70)))[0]![1]).toBe("66+70/4");
    expect(shown(at((e, c) => toggleKey(e, c, 66)))[0]![1]).toBe("66/4");
    expect(shown(at((e, c) => replaceKeys(e, c, [59])))[0]![1]).toBe("59/4");
    expect(shown(at((e, c) => setLength(e, c, HALF)))[0]![1]).toBe("66/2");
    expect(shown(at(toggleTie))[0]![1]).toBe("66/4~");
    expect(shown(at((e, c) => moveBySteps(e, c, 7)))[0]![1]).toBe("77/4");
    expect(at(respell).entry.bars[0]![0][1]!.pitches[0]).toEqual({ step: "G", alter: -1, octave: 4 });
  });

  it("refuses what a bar has no room for, says where, and loses nothing", () => {
    let now = START;
    for (const key of [60, 62, 64, 65]) now = putting(now, [key]);
    const before = { ...now, cursor: { ...now.cursor, at: 1 } };
    for (const refused of [putting(before, [70]), setLength(before.entry, before.cursor, HALF)]) {
      expect(refused.complaint).toContain("Bar 1 has no room");
      expect(refused.entry).toBe(now.entry);
    }
    const late = putting(putting(putting(START, [60], HALF), [60]), [], TRIPLET);
    expect(putting(putting(late, [], TRIPLET), [61], { ...TRIPLET, base: 4 }).complaint).toContain("tuplet");
  });

  it("inserts bars and takes them out, and walks over bar lines", () => {
    let now = START;
    for (const key of [60, 62, 64, 65, 67]) now = putting(now, [key]);
    const inserted = insertBar(now.entry, { bar: 0, voice: 0, at: 4 });
    expect(shown(inserted)).toEqual([["60/4", "62/4", "64/4", "65/4"], [], ["67/4"]]);
    expect(shown(removeBar(inserted.entry, { bar: 1, voice: 0, at: 0 }))).toEqual(shown(now));
    expect(walk(now.entry, { bar: 0, voice: 0, at: 4 }, 1)).toEqual({ bar: 1, voice: 0, at: 1 });
    expect(walk(now.entry, { bar: 1, voice: 0, at: 0 }, -1)).toEqual({ bar: 0, voice: 0, at: 4 });
    expect(removeBar(EMPTY, START.cursor).entry.bars).toEqual([EMPTY_BAR]);
  });

  it("goes to the same moment in another voice", () => {
    const right = putting(putting(START, [72]), [74]);
    const left = put(right.entry, { bar: 0, voice: 2, at: 0 }, [48], HALF, name);
    expect(toVoice(left.entry, { bar: 0, voice: 0, at: 2 }, 2)).toEqual({ bar: 0, voice: 2, at: 1 });
    expect(toVoice(left.entry, { bar: 0, voice: 0, at: 1 }, 2)).toEqual({ bar: 0, voice: 2, at: 0 });
  });

  it("takes another time signature only where every bar still fits", () => {
    const three = putting(putting(putting(START, [60]), [62]), [64]);
    expect(setTime(three.entry, three.cursor, [3, 4]).entry.time).toEqual([3, 4]);
    expect(setTime(three.entry, three.cursor, [2, 4])).toMatchObject({
      complaint: "Bar 1 holds more than a bar of 2/4.",
      entry: three.entry,
    });
  });

  it("moves by semitones, and not off the keyboard", () => {
    const top = putting(START, [108]);
    expect(shown(moveBySemitones(top.entry, top.cursor, 1))).toEqual([["108/4"]]);
    expect(shown(moveBySemitones(top.entry, top.cursor, -1))).toEqual([["107/4"]]);
  });

  it("never overfills a bar and always takes back what it put, whatever is done", () => {
    const lengths = [QUARTER, HALF, TRIPLET, { ...QUARTER, base: 16 as const }, { ...QUARTER, dotted: true }];
    const step = fc.record({
      keys: fc.uniqueArray(fc.integer({ min: 36, max: 84 }), { maxLength: 4 }),
      length: fc.constantFrom(...lengths),
      voice: fc.constantFrom(...VOICES),
      removes: fc.boolean(),
    });
    fc.assert(
      fc.property(fc.array(step, { maxLength: 30 }), (steps) => {
        let now = START;
        for (const { keys, length, voice, removes } of steps) {
          const cursor = toVoice(now.entry, now.cursor, voice);
          now = removes ? remove(now.entry, cursor) : put(now.entry, cursor, keys, length, name);
          for (const bar of now.entry.bars)
            for (const items of bar)
              expect(compare(sumOf(items.map((i) => i.length)), barBeats(now.entry.time))).toBeLessThanOrEqual(0);
        }
      }),
      { numRuns: 60 },
    );
  });
});

describe("lengths and spelling", () => {
  it("fill any room that thirty-seconds can fill", () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 64 }), (units) => {
        const room = sumOf(Array.from({ length: units }, () => ({ base: 32, dotted: false, tuplet: null }) as const));
        const filled = sumOf(lengthsFor(room));
        expect(compare(filled, room)).toBe(0);
      }),
    );
    expect(lengthsFor(ZERO)).toEqual([]);
    expect(beatsOf({ base: 8, dotted: true, tuplet: [3, 2] })).toBe("1/2");
  });

  it("find the nearest key of a letter, as the key signature has it", () => {
    expect(nearestKey("C", 0, 64)).toBe(60);
    expect(nearestKey("C", 2, 70)).toBe(73);
    expect(nearestKey("B", -1, 60)).toBe(58);
    expect(nearestKey("A", 0, 21)).toBe(21);
  });

  it("spell every key so that it is played on itself, as the key signature has it", () => {
    for (let fifths = -7; fifths <= 7; fifths++)
      for (let key = 21; key <= 108; key++) expect(keyOf(spell(key, fifths))).toBe(key);
    expect(spell(66, 1)).toMatchObject({ step: "F", alter: 1 });
    expect(spell(66, -3)).toMatchObject({ step: "G", alter: -1 });
    expect(spell(71, -7)).toMatchObject({ step: "C", alter: -1, octave: 5 });
  });
});
