import { toast } from "sonner";

/** ms that a notice stays, so that it can be read to its end and its Undo be reached without haste. */
const STAYS = 12_000;

/** Says what was done, with a way back beside it. */
export function noticeWithUndo(said: string, undo: () => void): void {
  toast(said, { duration: STAYS, action: { label: "Undo", onClick: undo } });
}
