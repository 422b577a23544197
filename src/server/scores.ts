import { readScore } from "@/formats/musicxml/open";
import { partById, pianoPart, type Part, type Score } from "@/formats/musicxml/score";

/**
 * The score of a kept piece and the part that is played. It was read when it came, so it can be read now.
 * @throws Error when a kept source has been damaged
 */
export function scoreOf(piece: { readonly source: Uint8Array; readonly partId: string }): { score: Score; part: Part } {
  const read = readScore(piece.source);
  if (!read.ok) throw new Error(`A kept score cannot be read: ${read.issues[0]?.message ?? ""}`);
  return { score: read.value, part: partById(read.value, piece.partId) ?? pianoPart(read.value) };
}
