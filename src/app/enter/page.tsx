import type { Metadata } from "next";
import { EnterView } from "@/components/enter/enter-view";
import { playerInHand } from "@/server/players/player-in-hand";

export const metadata: Metadata = { title: "Enter a passage" };
export const dynamic = "force-dynamic";

/** A new passage, entered step by step. */
export default async function Enter() {
  const { id } = await playerInHand();
  return <EnterView playerId={id} begun={{ pieceId: null, entry: null, seen: null }} passageId={null} />;
}
