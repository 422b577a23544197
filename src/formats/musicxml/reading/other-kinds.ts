/** How files of other kinds begin, and what to say of each. */
const KINDS: readonly (readonly [begins: string, words: string])[] = [
  [
    "MThd",
    "This is a MIDI file, which holds keys and times but no score. Save the music as MusicXML where it was written, and bring that in.",
  ],
  ["%PDF", "This is a PDF, a picture of a score. Save the music as MusicXML where it was written, and bring that in."],
  ["\x89PNG", "This is a picture. A score is read from MusicXML (.musicxml, .xml or .mxl)."],
  ["\xff\xd8\xff", "This is a picture. A score is read from MusicXML (.musicxml, .xml or .mxl)."],
  ["GIF8", "This is a picture. A score is read from MusicXML (.musicxml, .xml or .mxl)."],
  ["RIFF", "This is a sound recording. A score is read from MusicXML (.musicxml, .xml or .mxl)."],
  ["OggS", "This is a sound recording. A score is read from MusicXML (.musicxml, .xml or .mxl)."],
  ["ID3", "This is a sound recording. A score is read from MusicXML (.musicxml, .xml or .mxl)."],
  ["\x1f\x8b", "This is a file packed with gzip. Unpack it, and bring in the MusicXML file inside."],
  ["7z\xbc\xaf", "This is a 7z archive. Unpack it, and bring in the MusicXML file inside."],
  ["Rar!", "This is a RAR archive. Unpack it, and bring in the MusicXML file inside."],
  [
    "\xd0\xcf\x11\xe0",
    "This is a document of an office program. A score is read from MusicXML (.musicxml, .xml or .mxl).",
  ],
  ["{\\rtf", "This is a text document. A score is read from MusicXML (.musicxml, .xml or .mxl)."],
];

/** What a file is that is surely no MusicXML, and what to do, in a sentence; null where it may be a score. */
export function otherKind(bytes: Uint8Array): string | null {
  const head = new TextDecoder("latin1").decode(bytes.subarray(0, 16));
  const known = KINDS.find(([begins]) => head.startsWith(begins));
  if (known) return known[1];
  if (/^\s*<(!doctype\s+)?html/i.test(new TextDecoder("latin1").decode(bytes.subarray(0, 64))))
    return "This is a web page. A score is read from MusicXML (.musicxml, .xml or .mxl).";
  return null;
}
