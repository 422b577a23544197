import { Redo2, Undo2 } from "lucide-react";
import type { OptionData } from "@/server/types";
import { Button } from "../../ui/button";

interface Props {
  readonly option: OptionData;
  readonly onWalk: (way: "undo" | "redo") => void;
}

/** Back along all that was done to an option and to its passage, and forth again. */
export function UndoButtons({ option, onWalk }: Props) {
  return (
    <>
      <Button onClick={() => onWalk("undo")} disabled={option.undoable === 0} aria-label="Undo" className="px-3!">
        <Undo2 size={16} aria-hidden />
      </Button>
      <Button onClick={() => onWalk("redo")} disabled={option.redoable === 0} aria-label="Redo" className="px-3!">
        <Redo2 size={16} aria-hidden />
      </Button>
    </>
  );
}
