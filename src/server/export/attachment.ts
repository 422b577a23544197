import type { Exported } from "./export";

/** A file to be kept by whoever asked for it; a sentence where there is none. */
export function attachment(file: Exported | null, none: string): Response {
  if (!file) return new Response(none, { status: 404 });
  const name = file.fileName.replace(/[^\x20-\x7e]|["\\]/g, "_");
  return new Response(Buffer.from(file.bytes), {
    headers: {
      "content-type": file.type,
      "content-disposition": `attachment; filename="${name}"; filename*=UTF-8''${encodeURIComponent(file.fileName)}`,
    },
  });
}
