import { z } from "zod";
import { SIGNS_SHOWN } from "@/core/motion/marks/signs";
import { database } from "@/server/connection";
import { attachment } from "@/server/export/attachment";
import { DIGITS_WRITTEN, exportOption, FILES_WRITTEN } from "@/server/export/export";
import { orRefused } from "@/server/pieces/uploaded";

/**
 * The piece's own file with one option's digits in it, or with ?file=passage its passage alone, with ?file=midi that as MIDI;
 * with ?digits=doubt those digits that a pianist would write; with ?signs=few or all the signs of its hand plan too.
 */
export async function GET(
  request: Request,
  { params }: { params: Promise<{ fingeringId: string }> },
): Promise<Response> {
  const id = z.uuid().safeParse((await params).fingeringId);
  const asked = new URL(request.url).searchParams;
  const digits = z.enum(DIGITS_WRITTEN).catch("all").parse(asked.get("digits"));
  const signs = z.enum(SIGNS_SHOWN).catch("own").parse(asked.get("signs"));
  const file = z.enum(FILES_WRITTEN).catch("piece").parse(asked.get("file"));
  return orRefused(async () =>
    attachment(
      id.success ? await exportOption(database(), id.data, digits, signs, file) : null,
      "There is no such option.",
    ),
  );
}
