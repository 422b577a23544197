import crc32 from "crc-32";

/** What the directory at the end of a zip says of its files. */
export interface Directory {
  /** Check sums (CRC-32) of the unpacked files, by name. */
  readonly sums: ReadonlyMap<string, number>;
  /** Whether any file is packed under a password. */
  readonly isProtected: boolean;
}

const END = 0x06054b50;
const ENTRY = 0x02014b50;
/** Bytes of the end record without its comment, and of a comment at most. */
const END_LENGTH = 22;
const MOST_COMMENT = 0xffff;
const ENTRY_LENGTH = 46;

/** Reads the directory of a zip (APPNOTE 6.3, 4.3.12 and 4.3.16); null where there is none that can be read. */
export function directoryOf(bytes: Uint8Array): Directory | null {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  const last = bytes.length - END_LENGTH;
  let end = last;
  while (end >= 0 && end >= last - MOST_COMMENT && view.getUint32(end, true) !== END) end--;
  if (end < 0 || end < last - MOST_COMMENT) return null;
  const count = view.getUint16(end + 10, true);
  const sums = new Map<string, number>();
  let isProtected = false;
  let at = view.getUint32(end + 16, true);
  for (let i = 0; i < count && at + ENTRY_LENGTH <= bytes.length && view.getUint32(at, true) === ENTRY; i++) {
    const flags = view.getUint16(at + 8, true);
    const [name, extra, comment] = [28, 30, 32].map((offset) => view.getUint16(at + offset, true)) as [
      number,
      number,
      number,
    ];
    const text = bytes.subarray(at + ENTRY_LENGTH, at + ENTRY_LENGTH + name);
    isProtected ||= (flags & 1) === 1;
    sums.set(new TextDecoder((flags & 0x800) === 0 ? "latin1" : "utf-8").decode(text), view.getUint32(at + 16, true));
    at += ENTRY_LENGTH + name + extra + comment;
  }
  return { sums, isProtected };
}

/** The check sum of a file. */
export function sumOf(data: Uint8Array): number {
  return crc32.buf(data) >>> 0;
}
