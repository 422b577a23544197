import { z } from "zod";
import { database } from "@/server/connection";
import { DIGITS_WRITTEN, exportOption } from "@/server/export";

/** The piece's own file with one option's digits in it: all, or with ?digits=doubt those that a pianist would write. */
export async function GET(
  request: Request,
  { params }: { params: Promise<{ fingeringId: string }> },
): Promise<Response> {
  const id = z.uuid().safeParse((await params).fingeringId);
  const digits = z.enum(DIGITS_WRITTEN).catch("all").parse(new URL(request.url).searchParams.get("digits"));
  const file = id.success ? await exportOption(database(), id.data, digits) : null;
  if (!file) return new Response("There is no such option.", { status: 404 });
  const name = file.fileName.replace(/[^\x20-\x7e]|["\\]/g, "_");
  return new Response(Buffer.from(file.bytes), {
    headers: {
      "content-type": file.type,
      "content-disposition": `attachment; filename="${name}"; filename*=UTF-8''${encodeURIComponent(file.fileName)}`,
    },
  });
}
