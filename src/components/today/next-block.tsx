"use client";

import { ArrowRight } from "lucide-react";
import Link from "next/link";
import { useRouter } from "next/navigation";
import { useHotkeys } from "react-hotkeys-hook";
import type { BlockData } from "@/server/types";
import { Button, buttonLook } from "../ui/button";
import { AIM_SAID, blockSaid, minutesSaid, whySaid } from "../practice/said";
import type { BlockMade } from "./use-today";

interface Props {
  readonly block: BlockData;
  /** Whether the player said last that the hands are not loose. */
  readonly isTense: boolean;
  readonly busy: boolean;
  readonly onChange: (made: BlockMade) => Promise<void>;
}

/** The next stretch of the day, large, and one key to begin it. */
export function NextBlock({ block, isTense, busy, onChange }: Props) {
  const router = useRouter();
  const way = wayTo(block);
  useHotkeys("b", () => way !== null && router.push(way), { enabled: way !== null });
  return (
    <div aria-label="Next" role="group" className="border-l-2 border-velvet pl-4">
      {isTense && <p>You said that the hands are not loose. What is next can wait until they are.</p>}
      <p className="text-sm text-soft">Next, {minutesSaid(block.minutes)}</p>
      <p className="font-serif text-2xl">{blockSaid(block)}</p>
      <p>{AIM_SAID[block.doing]}.</p>
      <p className="max-w-prose text-sm text-soft">{whySaid(block)}</p>
      <div className="mt-2 flex flex-wrap gap-2">
        {way !== null && (
          <Link href={way} className={buttonLook("main")}>
            Begin <ArrowRight size={16} aria-hidden /> <kbd className="text-xs opacity-80">B</kbd>
          </Link>
        )}
        <HereDone block={block} busy={busy} onChange={onChange} />
      </div>
    </div>
  );
}

/** What is done where one stands: a check, a rest, a run through a piece. */
function HereDone({ block, busy, onChange }: Omit<Props, "isTense">) {
  const done = (loose: boolean | null) => (): void =>
    void onChange({ kind: "done", minutes: block.minutes, tempo: null, count: null, loose, note: "" });
  if (block.doing === "check")
    return (
      <>
        <Button disabled={busy} onClick={done(true)}>
          Loose
        </Button>
        <Button disabled={busy} onClick={done(false)}>
          Not loose
        </Button>
      </>
    );
  if (block.passage === null)
    return (
      <Button disabled={busy} onClick={done(null)}>
        {block.doing === "rest" ? "Rested" : "Done"}
      </Button>
    );
  return null;
}

/** Where a block is practised; null where that is nowhere in particular. */
function wayTo({ id, passage, piece, doing }: BlockData): string | null {
  if (doing === "decide" && passage) return `/side-by-side/${passage.id}?block=${id}`;
  if (doing === "review" && passage) return `/side-by-side/${passage.id}?block=${id}`;
  if (passage) return `/practice/${passage.id}?block=${id}`;
  return piece ? `/pieces/${piece.id}` : null;
}
