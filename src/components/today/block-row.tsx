"use client";

import { EllipsisVertical } from "lucide-react";
import { DropdownMenu } from "radix-ui";
import type { BlockData } from "@/server/types";
import { MENU_ITEM, MENU_LOOK } from "../belongings/menu-look";
import { blockSaid } from "../practice/said";
import type { BlockMade } from "./use-today";

interface Props {
  readonly block: BlockData;
  /** Minutes of the day before it. */
  readonly from: number;
  /** Whether it opens the hands wide before they are warm. */
  readonly isTooWideYet: boolean;
  /** The block before it, and the one after the next: where it goes when it is moved. */
  readonly before: string | null;
  readonly afterNext: string | null;
  readonly isLast: boolean;
  readonly busy: boolean;
  readonly onChange: (made: BlockMade) => Promise<void>;
}

/** Minutes that "shorter" and "longer" take and give. */
const STEP = 5;

/** One stretch of the day, and what can be made of it by hand. */
export function BlockRow({ block, from, isTooWideYet, before, afterNext, isLast, busy, onChange }: Props) {
  const { state, minutes, done } = block;
  const said = blockSaid(block);
  const isStruck = state === "struck";
  return (
    <li className="grid grid-cols-[3rem_1fr_auto] items-start gap-x-2 border-t border-hairline py-1">
      <span className="pt-2 text-sm text-soft tabular-nums">{isStruck ? "" : clock(from)}</span>
      <div className={`pt-1.5 ${isStruck ? "text-soft line-through" : ""}`}>
        <span>{said}</span>{" "}
        <span className="text-sm text-soft">
          {done ? `done, ${done.minutes} min${doneSaid(block)}` : `${minutes} min`}
        </span>
        {!isStruck && block.doing !== "check" && <p className="text-sm text-soft">{block.why}</p>}
        {isTooWideYet && <p className="text-sm">It opens the hand wide, and the hands are not warm by then.</p>}
      </div>
      <DropdownMenu.Root>
        <DropdownMenu.Trigger
          disabled={busy}
          aria-label={`Change ${said}`}
          className="grid size-11 place-items-center text-soft hover:text-ink"
        >
          <EllipsisVertical size={16} aria-hidden />
        </DropdownMenu.Trigger>
        <DropdownMenu.Portal>
          <DropdownMenu.Content className={MENU_LOOK} align="end">
            {state === "planned" && (
              <>
                <Item onSelect={() => onChange({ kind: "move", before })} disabled={before === null}>
                  Earlier
                </Item>
                <Item onSelect={() => onChange({ kind: "move", before: afterNext })} disabled={isLast}>
                  Later
                </Item>
                <Item
                  onSelect={() => onChange({ kind: "minutes", minutes: minutes - STEP })}
                  disabled={minutes <= STEP}
                >
                  {STEP} minutes shorter
                </Item>
                <Item onSelect={() => onChange({ kind: "minutes", minutes: minutes + STEP })}>
                  {STEP} minutes longer
                </Item>
                <Item onSelect={() => onChange({ kind: "strike" })}>Strike out</Item>
                <Item
                  onSelect={() => onChange({ kind: "done", minutes, tempo: null, count: null, loose: null, note: "" })}
                >
                  Done
                </Item>
              </>
            )}
            {state === "struck" && <Item onSelect={() => onChange({ kind: "restore" })}>Have it back</Item>}
            {state === "done" && <Item onSelect={() => onChange({ kind: "undone" })}>Not done after all</Item>}
          </DropdownMenu.Content>
        </DropdownMenu.Portal>
      </DropdownMenu.Root>
    </li>
  );
}

interface ItemProps {
  readonly onSelect: () => Promise<void>;
  readonly disabled?: boolean;
  readonly children: React.ReactNode;
}

function Item({ onSelect, ...rest }: ItemProps) {
  return <DropdownMenu.Item className={MENU_ITEM} onSelect={() => void onSelect()} {...rest} />;
}

/** "1:05", hours and minutes into the day's practice. */
function clock(minutes: number): string {
  return `${Math.floor(minutes / 60)}:${String(minutes % 60).padStart(2, "0")}`;
}

function doneSaid({ done }: BlockData): string {
  if (!done) return "";
  const parts = [
    done.tempo !== null && `♩ = ${Math.round(done.tempo)}`,
    done.count && `${done.count.good} of ${done.count.plays} good`,
    done.loose !== null && (done.loose ? "loose" : "not loose"),
  ].filter((part) => part);
  return parts.length === 0 ? "" : `, ${parts.join(", ")}`;
}
