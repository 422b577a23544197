import type { PieceData } from "@/server/types";

/** The tempo in force at a bar of a piece, and where the file states it. @param bar by its place, 1 for the first */
export function tempoSaid({ tempi }: Pick<PieceData, "tempi">, bar: number): PieceData["tempi"][number] {
  return tempi.findLast(({ fromBar }) => fromBar <= bar) ?? tempi[0]!;
}
