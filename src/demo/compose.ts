import { add, beats, compare, multiply, toNumber, ZERO, type Beats } from "@/core/time/beats";
import { escapeXml } from "@/formats/xml/tree";
import { written, type Written, type WrittenPitch } from "./notation";

/** A piece of the demo as it is written down. */
export interface Composed {
  readonly title: string;
  /** Sharps positive, flats negative. */
  readonly fifths: number;
  readonly time: readonly [number, number];
  /** Quarter notes a minute. */
  readonly tempo: number;
  readonly words: string;
  /** Voices of the right hand's staff, upper first, then of the left's, in the notation of notation.ts. */
  readonly right: readonly string[];
  readonly left: readonly string[];
  readonly leftClef?: "F" | "G";
}

/** Divisions of a quarter note: enough for triplets of thirty-seconds. */
const DIVISIONS = 24;

/** The piece as a MusicXML 4.0 score of one piano part with two staves. */
export function compose(piece: Composed): string {
  const voices = [
    ...piece.right.map((text, i) => ({ staff: 1, voice: i + 1, bars: written(text), alone: piece.right.length === 1 })),
    ...piece.left.map((text, i) => ({ staff: 2, voice: i + 5, bars: written(text), alone: piece.left.length === 1 })),
  ];
  const full = beats(piece.time[0] * 4, piece.time[1]);
  const count = voices[0]!.bars.length;
  const measures: string[] = [];
  const ties = new Set<string>();
  for (let bar = 0; bar < count; bar++) {
    const signs = [new Signs(piece.fifths), new Signs(piece.fifths)];
    const parts = voices.map(({ staff, voice, bars, alone }) => {
      const notes = bars[bar];
      if (!notes) throw new Error(`${piece.title}: a voice has ${bars.length} bars of ${count}.`);
      const length = notes.reduce((sum, n) => add(sum, n.length), ZERO);
      if (compare(length, full) !== 0)
        throw new Error(`${piece.title}, bar ${bar + 1}, voice ${voice}: ${length} of ${full} quarter notes.`);
      return voiceText(notes, staff, voice, alone, signs[staff - 1]!, ties);
    });
    const backup = `<backup><duration>${division(full)}</duration></backup>`;
    measures.push(`<measure number="${bar + 1}">${bar === 0 ? opening(piece) : ""}${parts.join(backup)}</measure>`);
  }
  return (
    `<?xml version="1.0" encoding="UTF-8"?>\n<!DOCTYPE score-partwise PUBLIC "-//Recordare//DTD MusicXML 4.0 Partwise//EN" "http://www.musicxml.org/dtds/partwise.dtd">\n` +
    `<score-partwise version="4.0"><work><work-title>${escapeXml(piece.title)}</work-title></work>` +
    `<part-list><score-part id="P1"><part-name>Piano</part-name></score-part></part-list><part id="P1">\n${measures.join("\n")}\n</part></score-partwise>\n`
  );
}

/** Which accidentals stand in a bar so far, so that only changes are printed. */
class Signs {
  private readonly seen = new Map<string, number>();

  constructor(private readonly fifths: number) {}

  print({ step, alter, octave }: WrittenPitch): string {
    const key = `${step}${octave}`;
    const standing = this.seen.get(key) ?? inKey(step, this.fifths);
    this.seen.set(key, alter);
    if (alter === standing) return "";
    return { "-2": "flat-flat", "-1": "flat", "0": "natural", "1": "sharp", "2": "double-sharp" }[String(alter)]!;
  }
}

function inKey(step: string, fifths: number): number {
  const order = "FCGDAEB";
  if (fifths >= 0) return order.indexOf(step) < fifths ? 1 : 0;
  return 6 - order.indexOf(step) < -fifths ? -1 : 0;
}

function opening({ fifths, time, tempo, words, leftClef = "F" }: Composed): string {
  const left = leftClef === "F" ? "<sign>F</sign><line>4</line>" : "<sign>G</sign><line>2</line>";
  return (
    `<attributes><divisions>${DIVISIONS}</divisions><key><fifths>${fifths}</fifths></key><time><beats>${time[0]}</beats><beat-type>${time[1]}</beat-type></time>` +
    `<staves>2</staves><clef number="1"><sign>G</sign><line>2</line></clef><clef number="2">${left}</clef></attributes>` +
    `<direction placement="above"><direction-type><words>${escapeXml(words)}</words></direction-type>` +
    `<direction-type><metronome><beat-unit>quarter</beat-unit><per-minute>${tempo}</per-minute></metronome></direction-type>` +
    `<staff>1</staff><sound tempo="${tempo}"/></direction>`
  );
}

function voiceText(
  notes: readonly Written[],
  staff: number,
  voice: number,
  alone: boolean,
  signs: Signs,
  ties: Set<string>,
): string {
  const beams = beamsOf(notes);
  const stem = alone ? "" : `<stem>${voice === 1 || voice === 5 ? "up" : "down"}</stem>`;
  return notes
    .map((note, i) => {
      if (note.pitches.length === 0) return `<note><rest/>${timing(note, voice)}<staff>${staff}</staff></note>`;
      return note.pitches
        .map((pitch, order) => noteText(note, pitch, order, voice, staff, stem, beams[i]!, signs, ties))
        .join("");
    })
    .join("");
}

function noteText(
  note: Written,
  pitch: WrittenPitch,
  order: number,
  voice: number,
  staff: number,
  stem: string,
  beam: string,
  signs: Signs,
  ties: Set<string>,
): string {
  const { step, alter, octave, digit } = pitch;
  const key = `${voice} ${step}${alter}${octave}`;
  const [stop, start] = [ties.has(key), note.tied];
  if (start) ties.add(key);
  else ties.delete(key);
  const tie = (stop ? `<tie type="stop"/>` : "") + (start ? `<tie type="start"/>` : "");
  const tied = (stop ? `<tied type="stop"/>` : "") + (start ? `<tied type="start"/>` : "");
  const accidental = stop ? "" : signs.print(pitch);
  const fingering = digit ? `<technical><fingering>${digit}</fingering></technical>` : "";
  const accent = note.accent && order === 0 ? "<articulations><accent/></articulations>" : "";
  const notations = tied + fingering + accent;
  return (
    `<note>${order > 0 ? "<chord/>" : ""}<pitch><step>${step}</step>${alter === 0 ? "" : `<alter>${alter}</alter>`}<octave>${octave}</octave></pitch>` +
    timing(note, voice, tie, accidental, stem) +
    `<staff>${staff}</staff>${order === 0 ? beam : ""}${notations ? `<notations>${notations}</notations>` : ""}</note>`
  );
}

function timing(note: Written, voice: number, tie = "", accidental = "", stem = ""): string {
  return (
    `<duration>${division(note.length)}</duration>${tie}<voice>${voice}</voice><type>${note.type}</type>${note.dotted ? "<dot/>" : ""}` +
    (accidental ? `<accidental>${accidental}</accidental>` : "") +
    (note.triplet
      ? "<time-modification><actual-notes>3</actual-notes><normal-notes>2</normal-notes></time-modification>"
      : "") +
    stem
  );
}

function division(length: Beats): number {
  return toNumber(multiply(length, beats(DIVISIONS)));
}

const BEAMS: Record<string, number> = { eighth: 1, "16th": 2, "32nd": 3 };

/** Beams over the notes of each quarter beat, all at the level of the group's longest note. */
function beamsOf(notes: readonly Written[]): readonly string[] {
  let at: Beats = ZERO;
  const groups = new Map<number, number[]>();
  notes.forEach((note, i) => {
    const beat = Math.floor(toNumber(at));
    if (note.pitches.length > 0 && BEAMS[note.type]) groups.set(beat, [...(groups.get(beat) ?? []), i]);
    at = add(at, note.length);
  });
  const beams = notes.map(() => "");
  for (const group of groups.values()) {
    if (group.length < 2) continue;
    const levels = Math.min(...group.map((i) => BEAMS[notes[i]!.type]!));
    group.forEach((i, place) => {
      const kind = place === 0 ? "begin" : place === group.length - 1 ? "end" : "continue";
      beams[i] = Array.from({ length: levels }, (_, level) => `<beam number="${level + 1}">${kind}</beam>`).join("");
    });
  }
  return beams;
}
