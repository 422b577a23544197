import { z } from "zod";
import { SIGNS_SHOWN } from "@/core/motion/marks/signs";
import { database } from "@/server/connection";
import { orRefused } from "@/server/pieces/uploaded";
import { DIGITS_WRITTEN, exportOption } from "@/server/export/export";

/** The piece's own file with one option's digits in it: all, or with ?digits=doubt those that a pianist would write; with ?signs=few or all the signs of its hand plan too. */
export async function GET(
  request: Request,
  { params }: { params: Promise<{ fingeringId: string }> },
): Promise<Response> {
  const id = z.uuid().safeParse((await params).fingeringId);
  const asked = new URL(request.url).searchParams;
  const digits = z.enum(DIGITS_WRITTEN).catch("all").parse(asked.get("digits"));
  const signs = z.enum(SIGNS_SHOWN).catch("own").parse(asked.get("signs"));
  return orRefused(async () => {
    const file = id.success ? await exportOption(database(), id.data, digits, signs) : null;
    if (!file) return new Response("There is no such option.", { status: 404 });
    const name = file.fileName.replace(/[^\x20-\x7e]|["\\]/g, "_");
    return new Response(Buffer.from(file.bytes), {
      headers: {
        "content-type": file.type,
        "content-disposition": `attachment; filename="${name}"; filename*=UTF-8''${encodeURIComponent(file.fileName)}`,
      },
    });
  });
}
