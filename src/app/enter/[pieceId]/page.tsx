import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { z } from "zod";
import { EnterView } from "@/components/enter/enter-view";
import { database } from "@/server/connection";
import { entryData } from "@/server/pieces/entries";

export const metadata: Metadata = { title: "Enter a passage" };
export const dynamic = "force-dynamic";

/** Music entered before, to be edited on. */
export default async function EnterOn({ params }: { params: Promise<{ pieceId: string }> }) {
  const id = z.uuid().safeParse((await params).pieceId);
  const found = id.success ? await entryData(database(), id.data) : null;
  if (!found) notFound();
  const { pieceId, playerId, entry, seen, passageId } = found;
  return <EnterView playerId={playerId} begun={{ pieceId, entry, seen }} passageId={passageId} />;
}
