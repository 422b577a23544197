"use client";

import type { BlockData } from "@/server/types";
import { BlockRow } from "./block-row";
import { minutesSaid } from "../practice/said";
import { isTooWideYet } from "./wide";
import type { BlockMade } from "./use-today";

interface Props {
  readonly blocks: readonly BlockData[];
  readonly doneMinutes: number;
  readonly isCold: boolean;
  readonly busy: boolean;
  readonly onChange: (id: string, made: BlockMade) => Promise<void>;
}

/** The day in its order, each stretch with why it is there; it can be moved, shortened and struck out. */
export function DayList({ blocks, doneMinutes, isCold, busy, onChange }: Props) {
  const asked = minutesOf(blocks);
  const rows = blocks.map((block, i) => ({ block, from: minutesOf(blocks.slice(0, i)) }));
  return (
    <details open={doneMinutes === 0} className="mt-3">
      <summary className="min-h-11 cursor-pointer py-2.5">
        The day: {minutesSaid(asked)}
        {doneMinutes > 0 && `, ${doneMinutes} of them done`}
      </summary>
      <ol>
        {rows.map(({ block, from }, i) => (
          <BlockRow
            key={block.id}
            block={block}
            from={from}
            isTooWideYet={isTooWideYet(block, from, isCold)}
            before={blocks[i - 1]?.id ?? null}
            afterNext={blocks[i + 2]?.id ?? null}
            isLast={i === blocks.length - 1}
            busy={busy}
            onChange={(made) => onChange(block.id, made)}
          />
        ))}
      </ol>
    </details>
  );
}

/** Minutes of some blocks, those struck out not counted. */
function minutesOf(blocks: readonly BlockData[]): number {
  return blocks.filter(({ state }) => state !== "struck").reduce((sum, { minutes }) => sum + minutes, 0);
}
