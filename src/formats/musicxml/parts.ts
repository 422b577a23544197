import type { NoteId } from "@/core/passage/note";
import { childrenOf, textOf, type Element } from "../xml/tree";
import type { Bar, NoteHead, Part, Score } from "./score";

/** What a name of a part says of it. */
const PIANO = /piano|klavier|clavier|keyboard|pianoforte/i;
const RIGHT = /\b(right|r\.?\s?h\.?|rechts|rechte|m\.?\s?d\.?|upper|treble)(\b|$)/i;
const LEFT = /\b(left|l\.?\s?h\.?|links|linke|m\.?\s?[gs]\.?|lower|bass)(\b|$)/i;

/**
 * The part a pianist wants: one called a piano on two staves, else two parts of one staff that are a piano together, else
 * the first on two staves, else the first called a piano, else the first with notes.
 */
export function pianoPart(score: Score): Part {
  const playing = score.parts.filter(hasNotes);
  const pair = pianoPair(score);
  return (
    playing.find((part) => part.staves === 2 && PIANO.test(part.name)) ??
    (pair && joined(pair[0], pair[1])) ??
    playing.find((part) => part.staves === 2) ??
    playing.find((part) => PIANO.test(part.name)) ??
    playing[0] ??
    score.parts[0]!
  );
}

/** A part by its id, or two of one staff by both ids with a + between; null where there is no such part. */
export function partById(score: Score, id: string): Part | null {
  const known = score.parts.find((part) => part.id === id);
  if (known) return known;
  const [upper, lower, ...more] = id.split("+").map((one) => score.parts.find((part) => part.id === one));
  return upper && lower && more.length === 0 && canJoin(upper, lower) ? joined(upper, lower) : null;
}

/** Parts that may be chosen, the one that is taken by itself first. */
export function partsToChoose(score: Score): readonly Part[] {
  const own = pianoPart(score);
  return [own, ...score.parts.filter((part) => part.id !== own.id && hasNotes(part))];
}

/** What a pianist should be told about the part that was taken. */
export function partRemarks(score: Score, part: Part): readonly string[] {
  const others = score.parts.length > 1 ? ` of ${score.parts.length}` : "";
  const called = part.name ? `“${part.name}”` : "without a name";
  if (!hasNotes(part)) return ["The part holds no notes: there is nothing to finger."];
  if (part.members.length === 2) return [`Two parts of one staff are taken together as the piano: ${called}.`];
  const many =
    part.staves > 2
      ? [`The part has ${part.staves} staves: the first is taken as the right hand's, all others as the left's.`]
      : [];
  if (part.staves >= 2)
    return PIANO.test(part.name) || score.parts.length === 1
      ? many
      : [`The part ${called}${others} is taken.`, ...many];
  if (PIANO.test(part.name))
    return ["The piano part has one staff: it can be worked out for the right hand or for the left."];
  return [
    `No part is for a piano. The part ${called}${others}, on one staff, is taken; it can be worked out for either hand.`,
  ];
}

function hasNotes(part: Part): boolean {
  return part.bars.some((bar) => bar.heads.length > 0);
}

function canJoin(upper: Part, lower: Part): boolean {
  return upper !== lower && upper.staves === 1 && lower.staves === 1 && upper.bars.length === lower.bars.length;
}

/**
 * Two parts of one staff that are a piano together: side by side in the file, and named for the hands, or named alike as
 * a piano, or held by one brace, or all that there is, a treble over a bass.
 */
function pianoPair(score: Score): readonly [Part, Part] | null {
  const bracedPairs = braces(score.root);
  for (const [i, upper] of score.parts.entries()) {
    const lower = score.parts[i + 1];
    if (!lower || !canJoin(upper, lower) || !hasNotes(upper) || !hasNotes(lower)) continue;
    const forHands = RIGHT.test(upper.name) && LEFT.test(lower.name);
    const alike = PIANO.test(upper.name) && plainName(upper.name) === plainName(lower.name);
    const isBraced = bracedPairs.has(`${upper.id}+${lower.id}`);
    const isAll = score.parts.length === 2 && plainName(upper.name) === plainName(lower.name);
    if (forHands || alike || isBraced || (isAll && clefOf(upper) === "G" && clefOf(lower) === "F"))
      return [upper, lower];
  }
  return null;
}

/** A part's name without hands and numbers. */
function plainName(name: string): string {
  return name
    .replace(RIGHT, "")
    .replace(LEFT, "")
    .replace(/[\d\W_]+/g, " ")
    .trim()
    .toLowerCase();
}

function clefOf({ bars }: Part): string | null {
  for (const bar of bars)
    for (const attributes of childrenOf(bar.elements[0]!, "attributes"))
      for (const clef of childrenOf(attributes, "clef")) return textOf(clef, "sign");
  return null;
}

/** Pairs of parts, by their ids, that one brace holds and nothing else. */
function braces(root: Element): ReadonlySet<string> {
  const pairs = new Set<string>();
  for (const list of childrenOf(root, "part-list")) {
    const open: { readonly number: string; readonly parts: string[] }[] = [];
    for (const element of list.children) {
      const number = element.attributes["number"] ?? "1";
      if (element.name === "score-part") for (const group of open) group.parts.push(element.attributes["id"] ?? "");
      if (element.name !== "part-group") continue;
      if (element.attributes["type"] === "start" && textOf(element, "group-symbol") === "brace")
        open.push({ number, parts: [] });
      if (element.attributes["type"] !== "stop") continue;
      const at = open.findLastIndex((group) => group.number === number);
      const [closed] = at < 0 ? [] : open.splice(at, 1);
      if (closed?.parts.length === 2) pairs.add(closed.parts.join("+"));
    }
  }
  return pairs;
}

/** One part over the other: the lower one's notes on a second staff. */
function joined(upper: Part, lower: Part): Part {
  const names = [upper.name, lower.name].filter(Boolean);
  return {
    id: `${upper.id}+${lower.id}`,
    name: [...new Set(names)].join(" and "),
    staves: 2,
    members: [upper.id, lower.id],
    bars: upper.bars.map((bar, i) => joinedBar(bar, lower.bars[i]!)),
  };
}

function joinedBar(upper: Bar, lower: Bar): Bar {
  return {
    ...upper,
    elements: [...upper.elements, ...lower.elements],
    heads: [
      ...upper.heads,
      ...lower.heads.map((head): NoteHead => ({
        ...head,
        id: head.id.replace(/-s1-/, "-s2-") as NoteId,
        staff: 2,
        // Stems of the two parts are counted apart.
        stem: head.stem + 1_000_000,
      })),
    ],
  };
}
