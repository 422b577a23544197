import type { Metadata } from "next";
import { EnterView } from "@/components/enter/enter-view";

export const metadata: Metadata = { title: "Enter a passage" };
export const dynamic = "force-dynamic";

/** A new passage, entered step by step. */
export default function Enter() {
  return <EnterView begun={{ pieceId: null, entry: null, seen: null }} passageId={null} />;
}
