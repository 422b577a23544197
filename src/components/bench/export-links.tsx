import { ChevronDown, Download } from "lucide-react";
import { DropdownMenu } from "radix-ui";
import type { OptionData } from "@/server/types";
import { MENU_ITEM, MENU_LOOK } from "../belongings/menu-look";
import { buttonLook } from "../ui/button";

interface Props {
  readonly option: Pick<OptionData, "id" | "name">;
  /** Which digits and signs are written, as the address asks for them. */
  readonly asked: Readonly<Record<string, string>>;
}

/** Other files than the piece's own. */
const FILES = [
  ["This passage alone, MusicXML", { file: "passage" }],
  ["The same with positions, joins and signs as words", { file: "passage", signs: "all" }],
  ["This passage as it is played, MIDI", { file: "midi", signs: "all" }],
] as const;

/** An option into a file: the piece's own with one gesture, its passage alone with two. */
export function ExportLinks({ option: { id, name }, asked }: Props) {
  const address = (more: Readonly<Record<string, string>>): string => {
    const all = new URLSearchParams({ ...asked, ...more });
    return `/options/${id}/export${all.size > 0 ? `?${all}` : ""}`;
  };
  return (
    <div className="flex">
      <a href={address({})} download className={buttonLook()}>
        <Download size={16} aria-hidden /> Export {name}
      </a>
      <DropdownMenu.Root>
        <DropdownMenu.Trigger
          aria-label={`Other files of option ${name}`}
          className="-ml-px grid min-h-11 w-9 place-items-center border border-hairline bg-raised text-soft hover:text-ink"
        >
          <ChevronDown size={16} aria-hidden />
        </DropdownMenu.Trigger>
        <DropdownMenu.Portal>
          <DropdownMenu.Content align="end" sideOffset={2} className={MENU_LOOK}>
            {FILES.map(([words, more]) => (
              <DropdownMenu.Item key={words} className={MENU_ITEM} asChild>
                <a href={address(more)} download>
                  {words}
                </a>
              </DropdownMenu.Item>
            ))}
          </DropdownMenu.Content>
        </DropdownMenu.Portal>
      </DropdownMenu.Root>
    </div>
  );
}
