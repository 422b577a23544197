import type { Mark } from "@/core/entry/entry";
import { barBeats, beatsOf, sumOf, type Base, type Tuplet } from "@/core/entry/length";
import { signInKey, type WrittenPitch } from "@/core/entry/spelling";
import { beats, compare, multiply, subtract, toNumber, ZERO, type Beats } from "@/core/time/beats";
import { escapeXml } from "../../xml/tree";
import { beamsOf } from "./beams";
import type { NewBar, NewNote, NewScore, NewVoice } from "./new-score";

/** Divisions of a quarter note: enough for triplets of thirty-seconds, for every tuplet and dot that is entered, or for all. */
const DIVISIONS = [24, 1680, 6720] as const;

/**
 * A new score as MusicXML 4.0: one piano part with two staves.
 * @throws RangeError where a voice does not fill a bar to its end, naming it
 */
export function writeScore(score: NewScore): string {
  const divisions = divisionsFor(score);
  const count = score.voices[0]?.bars.length ?? 0;
  const ties = new Set<string>();
  const measures = Array.from({ length: count }, (_, bar) => {
    const own = score.bars?.[bar] ?? {
      number: bar + 1,
      time: score.time,
      fifths: score.fifths,
      length: barBeats(score.time),
    };
    const full = own.length;
    const signs = [new Signs(own.fifths), new Signs(own.fifths)];
    const parts = score.voices.map((voice) => {
      const notes = voice.bars[bar] ?? [];
      const length = sumOf(notes.flatMap((n) => (n.isGrace ? [] : [n.length])));
      const left = subtract(full, length);
      if (compare(left, ZERO) !== 0 && !(voice.mayEndEarly && compare(left, ZERO) > 0))
        throw new RangeError(
          `${score.title}, bar ${bar + 1}, voice ${voice.voice}: ${length} of ${full} quarter notes.`,
        );
      const passed = inDivisions(left, divisions);
      const forward = passed > 0 ? `<forward><duration>${passed}</duration></forward>` : "";
      return voiceText(notes, { ...voice, divisions, signs: signs[voice.staff - 1]!, ties }) + forward;
    });
    const backup = `<backup><duration>${inDivisions(full, divisions)}</duration></backup>`;
    const start = bar === 0 ? opening(score, divisions) : changed(own, score.bars?.[bar - 1] ?? own);
    const uncounted = own.number === 0 ? ` implicit="yes"` : "";
    return `<measure number="${own.number}"${uncounted}>${start}${parts.join(backup)}</measure>`;
  });
  return (
    `<?xml version="1.0" encoding="UTF-8"?>\n<!DOCTYPE score-partwise PUBLIC "-//Recordare//DTD MusicXML 4.0 Partwise//EN" "http://www.musicxml.org/dtds/partwise.dtd">\n` +
    `<score-partwise version="4.0"><work><work-title>${escapeXml(score.title)}</work-title></work>` +
    `<part-list><score-part id="P1"><part-name>Piano</part-name></score-part></part-list><part id="P1">\n${measures.join("\n")}\n</part></score-partwise>\n`
  );
}

/** Time and key signature where a bar has others than the one before. */
function changed({ time, fifths }: NewBar, before: NewBar): string {
  const key = fifths === before.fifths ? "" : `<key><fifths>${fifths}</fifths></key>`;
  const isSame = time[0] === before.time[0] && time[1] === before.time[1];
  const metre = isSame ? "" : `<time><beats>${time[0]}</beats><beat-type>${time[1]}</beat-type></time>`;
  return key || metre ? `<attributes>${key}${metre}</attributes>` : "";
}

function divisionsFor({ voices }: NewScore): number {
  const lengths = voices.flatMap((v) => v.bars.flatMap((bar) => bar.map((n) => beatsOf(n.length))));
  const holds = (divisions: number): boolean =>
    lengths.every((length) => Number.isInteger(inDivisions(length, divisions)));
  return DIVISIONS.find(holds) ?? DIVISIONS[2];
}

function inDivisions(length: Beats, divisions: number): number {
  return toNumber(multiply(length, beats(divisions)));
}

/** Which accidentals stand in a bar so far, so that only changes are printed. */
class Signs {
  private readonly seen = new Map<string, number>();

  constructor(private readonly fifths: number) {}

  print({ step, alter, octave }: WrittenPitch): string {
    const key = `${step}${octave}`;
    const standing = this.seen.get(key) ?? signInKey(step, this.fifths);
    this.seen.set(key, alter);
    return alter === standing ? "" : NAMES[String(alter)]!;
  }
}

const NAMES: Record<string, string> = {
  "-2": "flat-flat",
  "-1": "flat",
  "0": "natural",
  "1": "sharp",
  "2": "double-sharp",
};

function opening({ fifths, time, tempo, words, leftClef }: NewScore, divisions: number): string {
  const left = leftClef === "F" ? "<sign>F</sign><line>4</line>" : "<sign>G</sign><line>2</line>";
  const said = words ? `<direction-type><words>${escapeXml(words)}</words></direction-type>` : "";
  return (
    `<attributes><divisions>${divisions}</divisions><key><fifths>${fifths}</fifths></key><time><beats>${time[0]}</beats><beat-type>${time[1]}</beat-type></time>` +
    `<staves>2</staves><clef number="1"><sign>G</sign><line>2</line></clef><clef number="2">${left}</clef></attributes>` +
    `<direction placement="above">${said}` +
    `<direction-type><metronome><beat-unit>quarter</beat-unit><per-minute>${tempo}</per-minute></metronome></direction-type>` +
    `<staff>1</staff><sound tempo="${tempo}"/></direction>`
  );
}

/** What writing one voice of one bar needs; ties go on from bar to bar. */
interface Pen extends Omit<NewVoice, "bars"> {
  readonly divisions: number;
  readonly signs: Signs;
  readonly ties: Set<string>;
}

function voiceText(notes: readonly NewNote[], pen: Pen): string {
  const beams = beamsOf(notes);
  const brackets = bracketsOf(notes);
  return notes
    .map((note, i) => {
      if (note.pitches.length === 0) return restText(note, brackets[i]!, pen);
      return note.pitches.map((_, order) => noteText(note, order, beams[i]!, brackets[i]!, pen)).join("");
    })
    .join("");
}

function restText(note: NewNote, bracket: string, pen: Pen): string {
  const unseen = note.unseen ? ` print-object="no"` : "";
  return `<note${unseen}><rest/>${timing(note, pen)}<staff>${pen.staff}</staff>${notationsText(bracket)}</note>`;
}

function noteText(note: NewNote, order: number, beam: string, bracket: string, pen: Pen): string {
  const pitch = note.pitches[order]!;
  const { step, alter, octave, digit } = pitch;
  const key = `${pen.voice} ${step}${alter}${octave}`;
  const [stop, start] = [pen.ties.has(key), note.tied];
  if (start) pen.ties.add(key);
  else pen.ties.delete(key);
  const tie = (stop ? `<tie type="stop"/>` : "") + (start ? `<tie type="start"/>` : "");
  const tied = (stop ? `<tied type="stop"/>` : "") + (start ? `<tied type="start"/>` : "");
  const accidental = stop ? "" : pen.signs.print(pitch);
  const fingering = digit ? `<technical><fingering>${digit}</fingering></technical>` : "";
  const mark = order === 0 ? marksOf(note, stop) : "";
  const first = order === 0 ? bracket : "";
  return (
    `<note>${openingOf(note, order)}<pitch><step>${step}</step>${alter === 0 ? "" : `<alter>${alter}</alter>`}<octave>${octave}</octave></pitch>` +
    timing(note, pen, tie, accidental, pen.stem ? `<stem>${pen.stem}</stem>` : "") +
    `<staff>${pen.staff}</staff>${order === 0 ? beam : ""}${notationsText(tied + first + fingering + mark)}</note>`
  );
}

function openingOf({ isGrace }: NewNote, order: number): string {
  return (isGrace ? "<grace/>" : "") + (order > 0 ? "<chord/>" : "");
}

/** What stands over a note of its own; the sign of a trill once, however long it is tied. */
function marksOf({ mark, isTrill }: NewNote, isTiedOn: boolean): string {
  const trill = isTrill && !isTiedOn ? "<ornaments><trill-mark/></ornaments>" : "";
  return (mark ? MARKS[mark] : "") + trill;
}

const MARKS: Readonly<Record<Mark, string>> = {
  staccato: "<articulations><staccato/></articulations>",
  tenuto: "<articulations><tenuto/></articulations>",
  accent: "<articulations><accent/></articulations>",
  slur: `<slur type="start" number="1"/>`,
  "slur-end": `<slur type="stop" number="1"/>`,
};

function notationsText(inner: string): string {
  return inner ? `<notations>${inner}</notations>` : "";
}

const TYPES: Readonly<Record<Base, string>> = {
  ...{ 1: "whole", 2: "half", 4: "quarter", 8: "eighth", 16: "16th", 32: "32nd" },
  ...{ 64: "64th", 128: "128th" },
};

function timing({ length, isGrace }: NewNote, { divisions, voice }: Pen, tie = "", accidental = "", stem = ""): string {
  const { base, dotted, tuplet } = length;
  return (
    `${isGrace ? "" : `<duration>${inDivisions(beatsOf(length), divisions)}</duration>`}${tie}<voice>${voice}</voice><type>${TYPES[base]}</type>${dotted ? "<dot/>" : ""}` +
    (accidental ? `<accidental>${accidental}</accidental>` : "") +
    (tuplet
      ? `<time-modification><actual-notes>${tuplet[0]}</actual-notes><normal-notes>${tuplet[1]}</normal-notes></time-modification>`
      : "") +
    stem
  );
}

/**
 * Where tuplets begin and end: notes of one kind of tuplet, one after another, make a group as soon as they fill as many
 * of its first note's plain length as it stands for.
 */
function bracketsOf(notes: readonly NewNote[]): readonly string[] {
  const brackets = notes.map(() => "");
  let open: { readonly from: number; readonly tuplet: Tuplet; left: Beats } | null = null;
  notes.forEach(({ length }, i) => {
    const { tuplet } = length;
    if (open && (tuplet === null || tuplet[0] !== open.tuplet[0])) {
      brackets[i - 1] += `<tuplet type="stop"/>`;
      open = null;
    }
    if (tuplet === null) return;
    if (open === null) {
      const plain = beatsOf({ ...length, dotted: false, tuplet: null });
      open = { from: i, tuplet, left: multiply(plain, beats(tuplet[1])) };
      brackets[i] += `<tuplet type="start"/>`;
    }
    open.left = subtract(open.left, beatsOf(length));
    if (compare(open.left, ZERO) <= 0) {
      brackets[i] += `<tuplet type="stop"/>`;
      open = null;
    }
  });
  if (open) brackets[brackets.length - 1] += `<tuplet type="stop"/>`;
  return brackets;
}
