import { counted } from "@/core/counted";
import { Button } from "../../ui/button";

interface Props {
  /** Notes of the stretch. */
  readonly count: number;
  readonly tied: boolean;
  readonly onPin: () => void;
  readonly onTie: () => void;
  readonly onClear: () => void;
  readonly onLeave: () => void;
}

/** What can be done with a stretch of notes chosen together. */
export function StretchBar({ count, tied, onPin, onTie, onClear, onLeave }: Props) {
  return (
    <div role="group" aria-label="The stretch chosen" className="flex flex-wrap items-center gap-1 py-1 text-sm">
      <span className="mr-2">{counted(count, "note")} chosen</span>
      <Button onClick={onPin}>Pin as they are</Button>
      <Button onClick={onTie}>{tied ? "Untie" : "Tie to their returns"}</Button>
      <Button onClick={onClear}>Clear pins</Button>
      <Button look="quiet" onClick={onLeave}>
        Leave
      </Button>
    </div>
  );
}
