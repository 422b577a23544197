import type { NoteRemedies, NoteRemedy } from "@/core/passage/remedied";
import type { Edit } from "../../xml/splice";
import { childrenOf, escapeXml } from "../../xml/tree";
import type { NoteHead } from "../score";
import { firstOfChord } from "./chord";

/** How a chosen remedy stands on one note of the file. */
export interface Marks {
  /** Into the note's notations. */
  readonly notation: string;
  /** Changes elsewhere: in the note, and in words before its chord. */
  readonly edits: readonly Edit[];
}

export const NO_MARKS: Marks = { notation: "", edits: [] };

/**
 * A roll as an arpeggiate mark with its direction; a note of the other hand in that hand's staff; a note left out
 * in parentheses, still there; a folded note in its new octave; all but a roll in words before the chord as well.
 */
export function marksOf(head: NoteHead, inBar: readonly NoteHead[], remedies: NoteRemedies, hasStaves: boolean): Marks {
  const remedy = remedies[head.id];
  if (remedy === undefined) return NO_MARKS;
  if (remedy.kind === "roll")
    return {
      notation: `<arpeggiate direction="${directionOf(head, inBar, remedies)}"/>`,
      edits: rollsTakenOut(head),
    };
  return { notation: "", edits: [...inWords(head, inBar, remedies), ...changesOf(head, remedy, hasStaves)] };
}

/** What a remedy changes in the note itself. */
function changesOf(head: NoteHead, remedy: NoteRemedy, hasStaves: boolean): readonly Edit[] {
  if (remedy.kind === "omit") return parenthesized(head);
  if (remedy.kind === "fold") return octaveMoved(head, remedy.octaves);
  if (remedy.kind === "other-hand" && hasStaves) return staffOf(head, remedy.hand === "right" ? "1" : "2");
  return [];
}

/** What a remedy is called in a score; a roll has a sign of its own. */
function wordsOf(remedy: NoteRemedy): string {
  if (remedy.kind === "other-hand") return `${remedy.hand} hand`;
  return WORDS[remedy.kind];
}

const WORDS: Readonly<Record<Exclude<NoteRemedy["kind"], "other-hand">, string>> = {
  edges: "at the facing edges",
  flat: "flat fingers",
  lean: "leaning",
  shorter: "let go, pedal",
  roll: "",
  omit: "left out",
  fold: "folded by an octave",
};

/** The words as a direction before the chord, which readers show everywhere; once where several of its notes have the same. */
function inWords(head: NoteHead, inBar: readonly NoteHead[], remedies: NoteRemedies): readonly Edit[] {
  const words = wordsOf(remedies[head.id]!);
  const first = firstOfChord(inBar, inBar.indexOf(head));
  const said = inBar.slice(inBar.indexOf(first), inBar.indexOf(head)).some(({ id }) => {
    const remedy = remedies[id];
    return remedy !== undefined && wordsOf(remedy) === words;
  });
  if (said) return [];
  const { start } = first.element;
  const { home, voice } = head;
  const direction =
    `<direction placement="${home === 2 ? "below" : "above"}"><direction-type><words>${words}</words></direction-type>` +
    `<voice>${escapeXml(voice)}</voice><staff>${home}</staff></direction>`;
  return [{ start, end: start, with: direction }];
}

/** Upward when the lowest rolled note of the chord comes before the highest. */
function directionOf(head: NoteHead, inBar: readonly NoteHead[], remedies: NoteRemedies): "up" | "down" {
  const together = inBar
    .filter((h) => h.onset === head.onset && remedies[h.id]?.kind === "roll")
    .sort((a, b) => a.pitch - b.pitch);
  const place = (h: NoteHead): number => {
    const remedy: NoteRemedy | undefined = remedies[h.id];
    return remedy?.kind === "roll" ? remedy.place : 0;
  };
  return place(together[0]!) <= place(together.at(-1)!) ? "up" : "down";
}

/** Elements that follow a note head in the order the format prescribes. */
const AFTER_HEAD = ["notehead-text", "staff", "beam", "notations", "lyric", "play", "listen"];

function parenthesized({ element }: NoteHead): readonly Edit[] {
  if (childrenOf(element, "notehead").length > 0) return [];
  const before = element.children.find((c) => AFTER_HEAD.includes(c.name));
  const at = before?.start ?? element.children.at(-1)?.end ?? element.innerEnd;
  return [{ start: at, end: at, with: '<notehead parentheses="yes">normal</notehead>' }];
}

function octaveMoved({ element }: NoteHead, octaves: number): readonly Edit[] {
  const octave = childrenOf(element, "pitch").flatMap((p) => childrenOf(p, "octave"))[0];
  if (!octave) return [];
  return [{ start: octave.inner, end: octave.innerEnd, with: String(Number(octave.text) + octaves) }];
}

/** A mark that is there already gives way to the new one. */
function rollsTakenOut({ element }: NoteHead): readonly Edit[] {
  return childrenOf(element, "notations")
    .flatMap((notations) => ["arpeggiate", "non-arpeggiate"].flatMap((name) => childrenOf(notations, name)))
    .map(({ start, end }) => ({ start, end, with: "" }));
}

function staffOf({ element }: NoteHead, to: string): readonly Edit[] {
  const staff = childrenOf(element, "staff")[0];
  return staff ? [{ start: staff.inner, end: staff.innerEnd, with: to }] : [];
}
