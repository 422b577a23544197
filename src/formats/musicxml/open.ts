import { isZip, readPackage, type Package } from "../mxl/mxl";
import { refusal, type Read } from "../issue";
import { decodeXml } from "../xml/decode";
import { parseXml } from "../xml/tree";
import { readRoot } from "./read";
import type { Score } from "./score";

/** Files past this size are refused. */
export const LARGEST_FILE = 20 * 1024 * 1024;

/** Reads a MusicXML file, plain or compressed, of any encoding. Never throws for what a file holds. */
export function readScore(bytes: Uint8Array): Read<Score> {
  if (bytes.length === 0) return refusal("empty", "The file is empty.");
  if (bytes.length > LARGEST_FILE) return refusal("too-large", `The file is over ${LARGEST_FILE / 1024 / 1024} MB.`);
  if (!isZip(bytes)) return readText(decodeXml(bytes), null);
  const opened = readPackage(bytes);
  if (!opened.ok) return opened;
  return readText(decodeXml(opened.value.files[opened.value.score]!), opened.value);
}

function readText(text: string, from: Package | null): Read<Score> {
  if (text.trim() === "") return refusal("empty", "The file is empty.");
  const parsed = parseXml(text);
  if (!parsed.ok) return parsed;
  const read = readRoot(parsed.value);
  if (!read.ok) return read;
  return { ok: true, value: { ...read.value, text, package: from, root: parsed.value }, issues: read.issues };
}
