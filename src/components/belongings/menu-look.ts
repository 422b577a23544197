/** What a menu looks like, and what stands in it. */
export const MENU_LOOK = "z-40 min-w-44 border border-hairline bg-paper py-1 text-sm shadow-sm";
export const MENU_ITEM =
  "flex min-h-11 cursor-pointer items-center gap-2 px-4 outline-none data-highlighted:bg-raised data-highlighted:text-velvet";
