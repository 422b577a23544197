"use client";

import { Ellipsis } from "lucide-react";
import { DropdownMenu } from "radix-ui";
import { useState, type ReactNode } from "react";
import { takeAwayWithUndo, type Named } from "./belonging-changes";
import { MENU_ITEM, MENU_LOOK } from "./menu-look";
import { RenameDialog } from "./rename-dialog";

interface Props {
  readonly of: Named;
  /** Called when it has gone, on a page that was its own. */
  readonly onGone?: (() => void) | undefined;
  /** More that can be done with it. */
  readonly children?: ReactNode;
}

/** What can be done with something of the player's own: another title, and away with it. */
export function BelongingMenu({ of, onGone, children }: Props) {
  const [renaming, setRenaming] = useState(false);
  const take = async (): Promise<void> => {
    if (await takeAwayWithUndo(of)) onGone?.();
  };
  return (
    <>
      <DropdownMenu.Root>
        <DropdownMenu.Trigger
          aria-label={`What can be done with ${of.called}`}
          className="grid size-11 shrink-0 place-items-center text-soft hover:text-ink print:hidden"
        >
          <Ellipsis size={18} aria-hidden />
        </DropdownMenu.Trigger>
        <DropdownMenu.Portal>
          <DropdownMenu.Content align="end" sideOffset={2} className={MENU_LOOK}>
            <DropdownMenu.Item className={MENU_ITEM} onSelect={() => setRenaming(true)}>
              Rename…
            </DropdownMenu.Item>
            {children}
            <DropdownMenu.Item className={MENU_ITEM} onSelect={() => void take()}>
              Take away
            </DropdownMenu.Item>
          </DropdownMenu.Content>
        </DropdownMenu.Portal>
      </DropdownMenu.Root>
      {renaming && <RenameDialog of={of} onDone={() => setRenaming(false)} />}
    </>
  );
}
