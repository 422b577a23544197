import { z } from "zod";
import { database } from "@/server/connection";
import { attachment } from "@/server/export/attachment";
import { exportTake } from "@/server/export/export";
import { orRefused } from "@/server/pieces/uploaded";

/** A take as the passage's score, with what went astray as words. */
export async function GET(_: Request, { params }: { params: Promise<{ takeId: string }> }): Promise<Response> {
  const id = z.uuid().safeParse((await params).takeId);
  return orRefused(async () =>
    attachment(id.success ? await exportTake(database(), id.data) : null, "There is no such take."),
  );
}
