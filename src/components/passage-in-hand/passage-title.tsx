"use client";

import Link from "next/link";
import { useRouter } from "next/navigation";
import type { ReactNode } from "react";
import type { PassageData } from "@/server/types";
import { BelongingMenu } from "../belongings/belonging-menu";

const HANDS = { right: "right hand", left: "left hand", both: "both hands" } as const;

/** What is worked on, with what can be done about it at the right. */
export function PassageTitle({
  data: { id, piece, title, bars, study },
  children,
}: {
  data: PassageData;
  children?: ReactNode;
}) {
  const router = useRouter();
  const { tempo, touch, pedal } = study.manner;
  return (
    <div className="mb-1 flex flex-wrap items-center gap-x-3 gap-y-1 border-b border-hairline pb-2">
      <div className="min-w-0">
        <div className="flex items-center">
          <h1 className="font-serif text-2xl leading-tight">{title}</h1>
          <BelongingMenu
            of={{ kind: "passage", id, title, called: title }}
            onGone={() => router.push(`/pieces/${piece.id}`)}
          />
        </div>
        <p className="text-sm text-soft">
          <Link href={`/pieces/${piece.id}`} className="underline decoration-hairline underline-offset-2">
            {piece.title}
          </Link>
          , bars {bars.from} to {bars.to}, {HANDS[study.passage.hands]}, ♩ = {tempo}, {touch}
          {pedal && ", with pedal"}
        </p>
      </div>
      <div className="ml-auto flex flex-wrap items-center gap-3 print:hidden">{children}</div>
    </div>
  );
}
