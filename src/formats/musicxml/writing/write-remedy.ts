import type { NoteRemedies, NoteRemedy } from "@/core/passage/remedied";
import type { Edit } from "../../xml/splice";
import { childrenOf } from "../../xml/tree";
import type { NoteHead } from "../score";

/** How a chosen remedy stands on one note of the file. */
export interface Marks {
  /** Into the note's technical marks, and into its notations. */
  readonly technical: string;
  readonly notation: string;
  /** Changes elsewhere in the note. */
  readonly edits: readonly Edit[];
}

export const NO_MARKS: Marks = { technical: "", notation: "", edits: [] };

/**
 * A roll as an arpeggiate mark with its direction; a note of the other hand in that hand's staff; a note left out
 * in parentheses, still there; a folded note in its new octave; the rest in words.
 */
export function marksOf(head: NoteHead, inBar: readonly NoteHead[], remedies: NoteRemedies, hasStaves: boolean): Marks {
  const remedy = remedies[head.id];
  switch (remedy?.kind) {
    case undefined:
      return NO_MARKS;
    case "edges":
      return inWords("at the facing edges");
    case "flat":
      return inWords("flat fingers");
    case "lean":
      return inWords("leaning");
    case "shorter":
      return inWords("let go, pedal");
    case "roll":
      return {
        ...NO_MARKS,
        notation: `<arpeggiate direction="${directionOf(head, inBar, remedies)}"/>`,
        edits: rollsTakenOut(head),
      };
    case "omit":
      return { ...inWords("left out"), edits: parenthesized(head) };
    case "fold":
      return { ...inWords("folded by an octave"), edits: octaveMoved(head, remedy.octaves) };
    case "other-hand":
      return hasStaves
        ? { ...inWords(`${remedy.hand} hand`), edits: staffOf(head, remedy.hand === "right" ? "1" : "2") }
        : inWords(`${remedy.hand} hand`);
  }
}

function inWords(words: string): Marks {
  return { technical: `<other-technical>${words}</other-technical>`, notation: "", edits: [] };
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
