"use client";

import { Check, User } from "lucide-react";
import { DropdownMenu } from "radix-ui";
import Link from "next/link";
import { useRouter } from "next/navigation";
import { turnTo } from "@/server/actions";
import { MENU_ITEM, MENU_LOOK } from "../belongings/menu-look";
import { ask } from "../keeping/ask";

export interface Seated {
  readonly id: string;
  readonly name: string;
}

/** Whose turn it is, and the way to another player. */
export function PlayerMenu({ all, now }: { all: readonly Seated[]; now: Seated | null }) {
  const router = useRouter();
  const turn = async (playerId: string): Promise<void> => {
    if (await ask("players", () => turnTo({ playerId }))) router.push("/");
  };
  return (
    <DropdownMenu.Root>
      <DropdownMenu.Trigger
        aria-label={now ? `Player: ${now.name}` : "Players"}
        className="flex min-h-11 max-w-56 items-center gap-2 px-2 text-sm text-soft hover:text-ink"
      >
        <User size={16} aria-hidden className="shrink-0" />{" "}
        <span className="truncate">{now?.name ?? "Nobody yet"}</span>
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content align="end" sideOffset={2} className={MENU_LOOK}>
          {all.map(({ id, name }) => (
            <DropdownMenu.Item key={id} className={MENU_ITEM} onSelect={() => void turn(id)}>
              <span className="w-4">{id === now?.id && <Check size={16} aria-label="now" />}</span> {name}
            </DropdownMenu.Item>
          ))}
          <DropdownMenu.Separator className="my-1 border-t border-hairline" />
          <DropdownMenu.Item asChild className={MENU_ITEM}>
            <Link href="/players/new">Begin with your own hands</Link>
          </DropdownMenu.Item>
          <DropdownMenu.Item asChild className={MENU_ITEM}>
            <Link href="/players">All players</Link>
          </DropdownMenu.Item>
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}
