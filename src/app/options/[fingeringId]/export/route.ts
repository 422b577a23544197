import { z } from "zod";
import { database } from "@/server/connection";
import { exportOption } from "@/server/export";

/** The piece's own file with one option's digits in it. */
export async function GET(
  _request: Request,
  { params }: { params: Promise<{ fingeringId: string }> },
): Promise<Response> {
  const id = z.uuid().safeParse((await params).fingeringId);
  const file = id.success ? await exportOption(database(), id.data) : null;
  if (!file) return new Response("There is no such option.", { status: 404 });
  const name = file.fileName.replace(/[^\x20-\x7e]|["\\]/g, "_");
  return new Response(Buffer.from(file.bytes), {
    headers: {
      "content-type": file.type,
      "content-disposition": `attachment; filename="${name}"; filename*=UTF-8''${encodeURIComponent(file.fileName)}`,
    },
  });
}
