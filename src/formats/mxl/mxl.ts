import { strToU8, Unzip, UnzipInflate, zipSync, type Zippable } from "fflate";
import { decodeXml } from "../xml/decode";
import { child, childrenOf, parseXml } from "../xml/tree";
import { refusal, type Read } from "../issue";

/** A compressed score: its files, and which of them is the score. */
export interface Package {
  readonly files: Readonly<Record<string, Uint8Array>>;
  readonly score: string;
}

/** Unpacked bytes past this are refused. */
export const LARGEST_UNPACKED = 60 * 1024 * 1024;
const MOST_FILES = 2000;
const CONTAINER = "META-INF/container.xml";

export function isZip(bytes: Uint8Array): boolean {
  return bytes[0] === 0x50 && bytes[1] === 0x4b;
}

/** Opens a compressed score, counting the bytes as they come out, whatever the headers claim. */
export function readPackage(bytes: Uint8Array): Read<Package> {
  const files: Record<string, Uint8Array> = {};
  let total = 0;
  let tooLarge = false;
  try {
    const unzip = new Unzip((file) => {
      const parts: Uint8Array[] = [];
      file.ondata = (error, data, final) => {
        if (error) throw error;
        total += data.length;
        if (total > LARGEST_UNPACKED) {
          tooLarge = true;
          throw new Error("too large");
        }
        parts.push(data);
        if (final && !file.name.endsWith("/")) files[file.name] = joined(parts);
      };
      if (Object.keys(files).length >= MOST_FILES) {
        tooLarge = true;
        throw new Error("too many");
      }
      file.start();
    });
    unzip.register(UnzipInflate);
    const step = 1 << 16;
    for (let at = 0; at < bytes.length; at += step)
      unzip.push(bytes.subarray(at, at + step), at + step >= bytes.length);
  } catch {
    if (tooLarge)
      return refusal(
        "too-large",
        `Unpacked, the file is over ${LARGEST_UNPACKED / 1024 / 1024} MB or holds over ${MOST_FILES} files, more than any score.`,
      );
    return refusal("bad-zip", "The compressed file is damaged and cannot be unpacked.");
  }
  if (Object.keys(files).length === 0)
    return refusal("bad-zip", "The compressed file is damaged or empty: nothing could be unpacked.");
  return findScore(files);
}

/** Packs the files again with another score inside, the rest as it was; the mimetype first and uncompressed. */
export function writePackage({ files, score }: Package, xml: string): Uint8Array {
  const contents: Zippable = {};
  if (files["mimetype"]) contents["mimetype"] = [files["mimetype"], { level: 0 }];
  for (const [name, data] of Object.entries(files)) {
    if (name !== "mimetype") contents[name] = name === score ? strToU8(xml) : data;
  }
  return zipSync(contents, { mtime: new Date("2000-01-01T00:00:00Z") });
}

function findScore(files: Readonly<Record<string, Uint8Array>>): Read<Package> {
  const container = files[CONTAINER];
  if (container) {
    const parsed = parseXml(decodeXml(container));
    if (!parsed.ok) return refusal("bad-container", `${CONTAINER} inside the compressed file cannot be read.`);
    const list = child(parsed.value, "rootfiles");
    const path = list ? childrenOf(list, "rootfile")[0]?.attributes["full-path"] : undefined;
    if (path && files[path]) return { ok: true, value: { files, score: path }, issues: [] };
    return refusal("bad-container", `The compressed file names the score "${path ?? ""}" but does not hold it.`);
  }
  const only = Object.keys(files).filter((name) => /\.(musicxml|xml)$/i.test(name) && !name.startsWith("META-INF/"));
  if (only.length === 1) return { ok: true, value: { files, score: only[0]! }, issues: [] };
  return refusal("bad-container", `The compressed file holds no ${CONTAINER} and not exactly one score.`);
}

function joined(parts: readonly Uint8Array[]): Uint8Array {
  const whole = new Uint8Array(parts.reduce((sum, p) => sum + p.length, 0));
  let at = 0;
  for (const part of parts) {
    whole.set(part, at);
    at += part.length;
  }
  return whole;
}
