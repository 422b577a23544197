/** Small made-up scores for tests. */

const DIVISIONS = 12;

/** A score of one part from the bodies of its bars; attributes stand in the first. */
export function scoreXml(bars: readonly string[], { staves = 1, part = "Piano" } = {}): string {
  const staffTags = staves === 2 ? "<staves>2</staves>" : "";
  const attributes = `<attributes><divisions>${DIVISIONS}</divisions><key><fifths>0</fifths></key><time><beats>4</beats><beat-type>4</beat-type></time>${staffTags}</attributes>`;
  const measures = bars.map((body, i) => `<measure number="${i + 1}">${i === 0 ? attributes : ""}${body}</measure>`);
  return (
    `<?xml version="1.0" encoding="UTF-8"?>\n<!DOCTYPE score-partwise PUBLIC "-//Recordare//DTD MusicXML 4.0 Partwise//EN" "http://www.musicxml.org/dtds/partwise.dtd">\n` +
    `<!-- made up for a test -->\n<score-partwise version="4.0"><part-list><score-part id="P1"><part-name>${part}</part-name></score-part></part-list>` +
    `<part id="P1">${measures.join("\n")}</part></score-partwise>\n`
  );
}

interface NoteMade {
  readonly length?: number;
  readonly staff?: number;
  readonly voice?: number;
  readonly chord?: boolean;
  readonly grace?: boolean;
  readonly tie?: readonly ("start" | "stop")[];
  readonly notations?: string;
  readonly lyric?: boolean;
}

/** A score of several parts, each with its name and the bodies of its bars; attributes stand as given. */
export function partsXml(
  parts: readonly { readonly name: string; readonly bars: readonly string[] }[],
  list = "",
): string {
  const named = parts.map(({ name }, i) => `<score-part id="P${i + 1}"><part-name>${name}</part-name></score-part>`);
  const bodies = parts.map(({ bars }, i) => {
    const measures = bars.map((body, b) => {
      const attributes = b === 0 ? `<attributes><divisions>${DIVISIONS}</divisions></attributes>` : "";
      return `<measure number="${b + 1}">${attributes}${body}</measure>`;
    });
    return `<part id="P${i + 1}">${measures.join("")}</part>`;
  });
  return `<score-partwise version="4.0"><part-list>${list === "" ? named.join("") : list}</part-list>${bodies.join("")}</score-partwise>`;
}

/** One <note>; the length in divisions, twelve to a quarter. */
export function noteXml(
  pitch: string,
  { length = DIVISIONS, staff = 1, voice = 1, chord, grace, tie = [], notations = "", lyric }: NoteMade = {},
): string {
  const [, step, alter, octave] = /^([A-G])(#|b)?(\d)$/.exec(pitch)!;
  const sound =
    `<pitch><step>${step}</step>${alter ? `<alter>${alter === "#" ? 1 : -1}</alter>` : ""}<octave>${octave}</octave></pitch>` +
    (grace ? "" : `<duration>${length}</duration>`) +
    tie.map((type) => `<tie type="${type}"/>`).join("");
  return `<note>${grace ? "<grace/>" : ""}${chord ? "<chord/>" : ""}${sound}<voice>${voice}</voice><staff>${staff}</staff>${notations}${lyric ? "<lyric><text>la</text></lyric>" : ""}</note>`;
}

export function bytes(text: string): Uint8Array {
  return new TextEncoder().encode(text);
}

/** A key by a name that noteXml takes: "C#4". */
export function spelled(key: number): string {
  const names = ["C", "C#", "D", "D#", "E", "F", "F#", "G", "G#", "A", "A#", "B"];
  return `${names[key % 12]}${Math.floor(key / 12) - 1}`;
}
