import { strToU8, Unzip, UnzipInflate, zipSync, type Zippable } from "fflate";
import { decodeXml } from "../xml/decode";
import { child, childrenOf, parseXml } from "../xml/tree";
import { refusal, type Read } from "../issue";
import { directoryOf, sumOf } from "./directory";

/** A compressed score: its files by name, and which of them is the score. */
export interface Package {
  readonly files: ReadonlyMap<string, Uint8Array>;
  readonly score: string;
}

/** Unpacked bytes past this are refused. */
const LARGEST_UNPACKED = 60 * 1024 * 1024;
const MOST_FILES = 2000;
const CONTAINER = "META-INF/container.xml";
/** Elements of a container, which names one file, at most. */
const MOST_IN_CONTAINER = 1000;

export function isZip(bytes: Uint8Array): boolean {
  return bytes[0] === 0x50 && bytes[1] === 0x4b;
}

/** Opens a compressed score, counting the bytes as they come out, whatever the headers claim, and comparing their sums. */
export function readPackage(bytes: Uint8Array): Read<Package> {
  const directory = directoryOf(bytes);
  if (directory?.isProtected)
    return refusal(
      "protected",
      "The compressed file is protected by a password. Save it without one, and bring that in.",
    );
  const unpacked = unpack(bytes);
  if (!unpacked.ok) return unpacked;
  const files = unpacked.value;
  if (files.size === 0)
    return refusal("bad-zip", "The compressed file is damaged or empty: nothing could be unpacked.");
  for (const [name, data] of files) {
    const sum = directory?.sums.get(name);
    if (sum !== undefined && sum !== sumOf(data))
      return refusal("bad-zip", `The compressed file is damaged: what it holds of “${name}” is not what was packed.`);
  }
  return findScore(files);
}

function unpack(bytes: Uint8Array): Read<ReadonlyMap<string, Uint8Array>> {
  const files = new Map<string, Uint8Array>();
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
        if (final && !file.name.endsWith("/")) files.set(file.name, joined(parts));
      };
      if (files.size >= MOST_FILES) {
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
  return { ok: true, value: files, issues: [] };
}

/** Packs the files again with another score inside, the rest as it was; the mimetype first and uncompressed. */
export function writePackage({ files, score }: Package, xml: string): Uint8Array {
  const contents = Object.create(null) as Zippable;
  const mimetype = files.get("mimetype");
  if (mimetype) contents["mimetype"] = [mimetype, { level: 0 }];
  for (const [name, data] of files) {
    if (name !== "mimetype") contents[name] = name === score ? strToU8(xml) : data;
  }
  return zipSync(contents, { mtime: new Date("2000-01-01T00:00:00Z") });
}

function findScore(files: ReadonlyMap<string, Uint8Array>): Read<Package> {
  const container = files.get(CONTAINER);
  if (container) {
    const parsed = parseXml(decodeXml(container), MOST_IN_CONTAINER);
    if (!parsed.ok) return refusal("bad-container", `${CONTAINER} inside the compressed file cannot be read.`);
    const list = child(parsed.value, "rootfiles");
    const path = list ? childrenOf(list, "rootfile")[0]?.attributes["full-path"] : undefined;
    if (path && files.has(path)) return { ok: true, value: { files, score: path }, issues: [] };
    return refusal("bad-container", `The compressed file names the score "${path ?? ""}" but does not hold it.`);
  }
  const only = [...files.keys()].filter((name) => /\.(musicxml|xml)$/i.test(name) && !isBeside(name));
  if (only.length === 1) return { ok: true, value: { files, score: only[0]! }, issues: [] };
  return refusal("bad-container", `The compressed file holds no ${CONTAINER} and not exactly one score.`);
}

/** What a packing program puts beside the files it was given. */
function isBeside(name: string): boolean {
  return name.startsWith("META-INF/") || name.startsWith("__MACOSX/") || /(^|\/)\._[^/]*$/.test(name);
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
