"use client";

import { useRouter } from "next/navigation";
import { BelongingMenu } from "../belongings/belonging-menu";

/** The menu of a piece on its own page: when it goes, the page is left. */
export function PieceMenu({ id, title }: { id: string; title: string }) {
  const router = useRouter();
  return <BelongingMenu of={{ kind: "piece", id, title, called: title }} onGone={() => router.push("/")} />;
}
