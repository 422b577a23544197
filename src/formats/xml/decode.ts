/**
 * Text of an XML file whatever its encoding: by the byte order mark first, then by the zero bytes that
 * UTF-16 leaves, then UTF-8 if the bytes are valid UTF-8 (whatever the label says), then the encoding of
 * the label, and at last Windows-1252. The byte order mark is dropped.
 */
export function decodeXml(bytes: Uint8Array): string {
  if (bytes[0] === 0xfe && bytes[1] === 0xff) return decoded(bytes, "utf-16be");
  if (bytes[0] === 0xff && bytes[1] === 0xfe) return decoded(bytes, "utf-16le");
  if (bytes[0] === 0 && bytes[1] === 0x3c) return decoded(bytes, "utf-16be");
  if (bytes[0] === 0x3c && bytes[1] === 0) return decoded(bytes, "utf-16le");
  try {
    return new TextDecoder("utf-8", { fatal: true }).decode(bytes);
  } catch {
    return decoded(bytes, labelOf(bytes) ?? "windows-1252");
  }
}

function labelOf(bytes: Uint8Array): string | null {
  const head = new TextDecoder("latin1").decode(bytes.subarray(0, 200));
  const label = /^<\?xml[^>]*encoding\s*=\s*["']([^"']+)["']/.exec(head)?.[1]?.toLowerCase();
  return label && !label.startsWith("utf") ? label : null;
}

function decoded(bytes: Uint8Array, label: string): string {
  try {
    return new TextDecoder(label).decode(bytes);
  } catch {
    return new TextDecoder("windows-1252").decode(bytes);
  }
}
