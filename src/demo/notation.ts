import type { Base } from "@/core/entry/length";
import type { NewNote } from "@/formats/musicxml/writing/new-score";

const ALTERS: Record<string, number> = { "": 0, n: 0, "#": 1, "##": 2, b: -1, bb: -2 };

/**
 * A short way to write the demo's music. Bars are parted by "|"; tokens by blanks. A length (1, 2, 4, 8, 16,
 * 32, with "." for a dot and "t" for a triplet) holds until the next; a note is a letter, "#" or "b" or
 * "##" or "bb" or "n", and an octave ("f#4"); [c4 e4 g4] is a chord; "r" a rest; "~" after a note or chord
 * ties it on; "=3" after a note prints a digit; "'" after a note or chord is an accent.
 *
 * Bars of one voice. @throws Error naming the token that cannot be read: the demo's own mistake
 */
export function written(text: string): readonly (readonly NewNote[])[] {
  let length = "4";
  return text.split("|").map((bar) => {
    const notes: NewNote[] = [];
    for (const token of bar.match(/\[[^\]]*\]\S*|\S+/g) ?? []) {
      if (/^\d+\.?t?$/.test(token)) length = token;
      else notes.push(note(token, length));
    }
    return notes;
  });
}

function note(token: string, length: string): NewNote {
  const [, chord, single, marks] = /^(?:\[([^\]]*)\]|([a-gr][#bn]*\d?(?:=\d)?))([~']*)$/.exec(token) ?? [];
  if (chord === undefined && single === undefined) throw new Error(`"${token}" is no note.`);
  const tokens = chord !== undefined ? chord.trim().split(/\s+/) : [single!];
  const [, number, dot, triplet] = /^(\d+)(\.?)(t?)$/.exec(length)!;
  return {
    pitches: tokens[0] === "r" ? [] : tokens.map(pitchOf),
    length: { base: Number(number) as Base, dotted: dot === ".", tuplet: triplet === "t" ? [3, 2] : null },
    tied: marks!.includes("~"),
    ...(marks!.includes("'") ? { mark: "accent" as const } : {}),
  };
}

function pitchOf(token: string): NewNote["pitches"][number] {
  const [, step, sign, octave, digit] = /^([a-g])([#bn]*)(\d)(?:=(\d))?$/.exec(token) ?? [];
  if (!step || ALTERS[sign!] === undefined) throw new Error(`"${token}" is no pitch.`);
  return { step: step.toUpperCase(), alter: ALTERS[sign!]!, octave: Number(octave), digit: digit ?? null };
}
