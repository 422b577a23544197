import { z } from "zod";
import { database } from "@/server/connection";
import { attachment } from "@/server/export/attachment";
import { exportBeside } from "@/server/export/export";
import { orRefused } from "@/server/pieces/uploaded";

/** Options of a passage one under another in one MusicXML file: with ?names=A,B those, else all. */
export async function GET(request: Request, { params }: { params: Promise<{ passageId: string }> }): Promise<Response> {
  const id = z.uuid().safeParse((await params).passageId);
  const names = new URL(request.url).searchParams.get("names") ?? "";
  return orRefused(async () =>
    attachment(
      id.success ? await exportBeside(database(), id.data, names.split(",").filter(Boolean)) : null,
      "There are no such options.",
    ),
  );
}
