import { z } from "zod";
import { passphrase } from "@/server/doors/passphrase";
import { passageAsked } from "@/server/passages/passage-asked";
import { orRefused, refused } from "@/server/pieces/uploaded";
import { pdfOf } from "@/server/sheet/pdf";

/** The sheet of a passage as a PDF file: what its address asks for is what the page's own address asks for. */
export async function GET(request: Request, { params }: { params: Promise<{ passageId: string }> }): Promise<Response> {
  const id = z.uuid().safeParse((await params).passageId);
  return orRefused(async () => {
    const data = id.success ? await passageAsked(id.data) : null;
    if (!data) return new Response("There is no such passage.", { status: 404 });
    // Chromium comes without the player's cookies, and would print the door.
    if (passphrase() !== null) return refused("Behind a passphrase a sheet is printed from the browser.", 503);
    const asked = new URL(request.url).searchParams;
    // Always this machine, whatever name the request came by.
    const port = process.env["PORT"] ?? new URL(request.url).port;
    const made = await pdfOf(`http://127.0.0.1:${port}/sheet/${data.id}?${asked.toString()}`);
    if (!made.ok) return refused(made.message, 503);
    return new Response(Buffer.from(made.value), {
      headers: {
        "content-type": "application/pdf",
        "content-disposition": `attachment; filename*=UTF-8''${encodeURIComponent(`${data.title}.pdf`)}`,
      },
    });
  });
}
