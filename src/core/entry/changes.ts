import { isOnKeyboard } from "../keyboard/pitch";
import { compare, subtract, ZERO, type Beats } from "../time/beats";
import {
  beginsAt,
  EMPTY_BAR,
  fits,
  itemsAt,
  MOST_BARS,
  roomIn,
  spelled,
  type EntryChanged,
  type Cursor,
  type Entry,
  type EntryBar,
  type Item,
} from "./entry";
import { beatsOf, lengthsFor, type Length } from "./length";
import { keyOf, movedBySteps, respelled } from "./spelling";

/**
 * Puts a note, a chord or (without keys) a rest at the cursor and goes on behind it. At the end of a voice in a full bar
 * it goes into the next, which is made where there is none; what is longer than the room left is tied over.
 * @param name makes a new name for each item
 */
export function put(
  entry: Entry,
  cursor: Cursor,
  keys: readonly number[],
  length: Length,
  name: () => string,
): EntryChanged {
  const items = itemsAt(entry, cursor);
  const pitches = spelled(entry, keys);
  if (cursor.at < items.length) {
    const item = { id: name(), pitches, length, tied: false };
    const after = [...items.slice(0, cursor.at), item, ...items.slice(cursor.at)];
    if (!fits(entry, lengthsOf(after))) return refused(entry, cursor, full(cursor));
    return done(withItems(entry, cursor, after), { ...cursor, at: cursor.at + 1 });
  }
  const room = roomIn(entry, cursor);
  if (compare(room, ZERO) <= 0) {
    if (cursor.bar + 1 >= MOST_BARS) return refused(entry, cursor, `There are ${MOST_BARS} bars at most.`);
    const next = { ...cursor, bar: cursor.bar + 1, at: itemsAt(entry, { ...cursor, bar: cursor.bar + 1 }).length };
    return put(withBar(entry, next.bar), next, keys, length, name);
  }
  if (compare(beatsOf(length), room) <= 0) return appended(entry, cursor, [length], false);
  if (length.tuplet !== null)
    return refused(
      entry,
      cursor,
      `Bar ${cursor.bar + 1} has no room for this length; a tuplet cannot go over the bar line.`,
    );
  return tiedOver(entry, cursor, room);

  function appended(to: Entry, at: Cursor, lengths: readonly Length[], tiedOn: boolean): EntryChanged {
    const added = lengths.map((each, i): Item => {
      const goesOn = pitches.length > 0 && (i < lengths.length - 1 || tiedOn);
      return { id: name(), pitches, length: each, tied: goesOn };
    });
    const after = [...itemsAt(to, at), ...added];
    return done(withItems(to, at, after), { ...at, at: after.length });
  }

  function tiedOver(to: Entry, at: Cursor, left: Beats): EntryChanged {
    if (at.bar + 1 >= MOST_BARS) return refused(entry, cursor, `There are ${MOST_BARS} bars at most.`);
    const rest = subtract(beatsOf(length), left);
    const [first, second] = [appended(to, at, lengthsFor(left), true), { ...at, bar: at.bar + 1 }];
    const with_ = withBar(first.entry, second.bar);
    if (itemsAt(with_, second).length > 0) return refused(entry, cursor, full(cursor));
    return appended(with_, { ...second, at: 0 }, lengthsFor(rest), false);
  }
}

/** Adds a key to the item before the cursor, or takes it out where it is in it; the last key of a chord stays. */
export function toggleKey(entry: Entry, cursor: Cursor, key: number): EntryChanged {
  return changeItem(entry, cursor, (item) => {
    const keys = item.pitches.map(keyOf);
    const without = item.pitches.filter((p) => keyOf(p) !== key);
    if (without.length === item.pitches.length)
      return { ...item, pitches: [...item.pitches, ...spelled(entry, [key])].sort((a, b) => keyOf(a) - keyOf(b)) };
    return keys.length === 1 ? item : { ...item, pitches: without };
  });
}

/** The item before the cursor with other keys. */
export function replaceKeys(entry: Entry, cursor: Cursor, keys: readonly number[]): EntryChanged {
  return changeItem(entry, cursor, (item) => ({
    ...item,
    pitches: spelled(entry, keys),
    tied: item.tied && keys.length > 0,
  }));
}

/** The item before the cursor another length; refused where the bar has no room for it. */
export function setLength(entry: Entry, cursor: Cursor, length: Length): EntryChanged {
  return changeItem(entry, cursor, (item) => ({ ...item, length }));
}

/** The item before the cursor moved by steps of the scale; seven are an octave. */
export function moveBySteps(entry: Entry, cursor: Cursor, steps: number): EntryChanged {
  return changeItem(entry, cursor, (item) => ({
    ...item,
    pitches: item.pitches.map((p) => movedBySteps(p, steps, entry.fifths)),
  }));
}

/** The item before the cursor spelled another way. */
export function respell(entry: Entry, cursor: Cursor): EntryChanged {
  return changeItem(entry, cursor, (item) => ({ ...item, pitches: item.pitches.map(respelled) }));
}

/** Ties the item before the cursor to the next, or unties it. */
export function toggleTie(entry: Entry, cursor: Cursor): EntryChanged {
  return changeItem(entry, cursor, (item) => ({ ...item, tied: item.pitches.length > 0 && !item.tied }));
}

/** Takes the item before the cursor out; what follows in the bar comes nearer. */
export function remove(entry: Entry, cursor: Cursor): EntryChanged {
  const items = itemsAt(entry, cursor);
  if (cursor.at > 0) {
    const after = items.filter((_, i) => i !== cursor.at - 1);
    return done(withItems(entry, cursor, after), { ...cursor, at: cursor.at - 1 });
  }
  if (cursor.bar === 0) return done(entry, cursor);
  const bar = cursor.bar - 1;
  return done(entry, { ...cursor, bar, at: itemsAt(entry, { ...cursor, bar }).length });
}

/** An empty bar behind the cursor's. */
export function insertBar(entry: Entry, cursor: Cursor): EntryChanged {
  if (entry.bars.length >= MOST_BARS) return refused(entry, cursor, `There are ${MOST_BARS} bars at most.`);
  const bars = [...entry.bars.slice(0, cursor.bar + 1), EMPTY_BAR, ...entry.bars.slice(cursor.bar + 1)];
  return done({ ...entry, bars }, { ...cursor, bar: cursor.bar + 1, at: 0 });
}

/** Takes the cursor's bar out, in all voices; one bar stays. */
export function removeBar(entry: Entry, cursor: Cursor): EntryChanged {
  const others = entry.bars.filter((_, i) => i !== cursor.bar);
  const bars = others.length > 0 ? others : [EMPTY_BAR];
  const bar = Math.min(cursor.bar, bars.length - 1);
  const after = { ...entry, bars };
  return done(after, { ...cursor, bar, at: itemsAt(after, { ...cursor, bar }).length });
}

/** Walks by items, over bar lines too. */
export function walk(entry: Entry, cursor: Cursor, by: 1 | -1): Cursor {
  const at = cursor.at + by;
  if (at >= 0 && at <= itemsAt(entry, cursor).length) return { ...cursor, at };
  const bar = cursor.bar + by;
  if (bar < 0 || bar >= entry.bars.length) return cursor;
  const items = itemsAt(entry, { ...cursor, bar });
  return { ...cursor, bar, at: by === 1 ? Math.min(1, items.length) : items.length };
}

/** The same moment in another voice. */
export function toVoice(entry: Entry, cursor: Cursor, voice: Cursor["voice"]): Cursor {
  const when = beginsAt(entry, cursor);
  const items = itemsAt(entry, { ...cursor, voice });
  let at = 0;
  while (at < items.length && compare(beginsAt(entry, { ...cursor, voice, at: at + 1 }), when) <= 0) at++;
  return { ...cursor, voice, at };
}

/** The item before the cursor moved by semitones; as it was where a key would leave the keyboard. */
export function moveBySemitones(entry: Entry, cursor: Cursor, by: 1 | -1): EntryChanged {
  return changeItem(entry, cursor, (item) => {
    const keys = item.pitches.map((p) => keyOf(p) + by);
    return keys.every(isOnKeyboard) ? { ...item, pitches: spelled(entry, keys) } : item;
  });
}

/** Another time signature; refused where a bar holds more than it allows. */
export function setTime(entry: Entry, cursor: Cursor, time: Entry["time"]): EntryChanged {
  const after = { ...entry, time };
  const over = entry.bars.findIndex((bar) => bar.some((items) => !fits(after, lengthsOf(items))));
  if (over < 0) return done(after, cursor);
  return refused(entry, cursor, `Bar ${over + 1} holds more than a bar of ${time[0]}/${time[1]}.`);
}

function changeItem(entry: Entry, cursor: Cursor, change: (item: Item) => Item): EntryChanged {
  const items = itemsAt(entry, cursor);
  if (cursor.at === 0) return refused(entry, cursor, "There is no note before the cursor in this bar.");
  const after = items.map((item, i) => (i === cursor.at - 1 ? change(item) : item));
  return fits(entry, lengthsOf(after))
    ? done(withItems(entry, cursor, after), cursor)
    : refused(entry, cursor, full(cursor));
}

function lengthsOf(items: readonly Item[]): readonly Length[] {
  return items.map((item) => item.length);
}

function full({ bar }: Cursor): string {
  return `Bar ${bar + 1} has no room for that in this voice.`;
}

function withBar(entry: Entry, bar: number): Entry {
  return bar < entry.bars.length ? entry : { ...entry, bars: [...entry.bars, EMPTY_BAR] };
}

function withItems(entry: Entry, { bar, voice }: Cursor, items: readonly Item[]): Entry {
  const changed = entry.bars[bar]!.map((all, i) => (i === voice ? items : all)) as unknown as EntryBar;
  return { ...entry, bars: entry.bars.map((b, i) => (i === bar ? changed : b)) };
}

function done(entry: Entry, cursor: Cursor): EntryChanged {
  return { entry, cursor, complaint: null };
}

function refused(entry: Entry, cursor: Cursor, complaint: string): EntryChanged {
  return { entry, cursor, complaint };
}
