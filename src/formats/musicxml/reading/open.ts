import { isZip, readPackage, type Package } from "../../mxl/mxl";
import { refusal, type Read } from "../../issue";
import { decodeXml } from "../../xml/decode";
import { parseXml } from "../../xml/tree";
import { LIMITS } from "./limits";
import { readRoot } from "./read";
import type { Score } from "../score";
import { otherKind } from "./other-kinds";

/** Files past this size are refused. */
export const LARGEST_FILE = LIMITS.fileBytes;

/** Reads a MusicXML file, plain or compressed, of any encoding. Never throws for what a file holds. */
export function readScore(bytes: Uint8Array): Read<Score> {
  if (bytes.length === 0) return refusal("empty", "The file is empty.");
  if (bytes.length > LARGEST_FILE) return refusal("too-large", TOO_LARGE);
  if (!isZip(bytes)) {
    const other = otherKind(bytes);
    return other ? refusal("other-kind", other) : readText(decodeXml(bytes), null);
  }
  const opened = readPackage(bytes);
  if (!opened.ok) return opened;
  return readText(decodeXml(opened.value.files.get(opened.value.score)!), opened.value);
}

export const TOO_LARGE = `The file is over ${LARGEST_FILE / 1024 / 1024} MB.`;

function readText(text: string, from: Package | null): Read<Score> {
  if (text.trim() === "") return refusal("empty", "The file is empty.");
  const parsed = parseXml(text, LIMITS.elements);
  if (!parsed.ok) return parsed;
  const read = readRoot(parsed.value);
  if (!read.ok) return read;
  return { ok: true, value: { ...read.value, text, package: from }, issues: read.issues };
}
