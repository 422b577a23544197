import { Metronome, Square } from "lucide-react";
import { Button } from "../ui/button";
import { Choice } from "../ui/choice";
import type { ClickInHand } from "./use-click";

const PARTS = [
  ["1", "none"],
  ["2", "2"],
  ["3", "3"],
  ["4", "4"],
] as const;
const SILENT = [
  ["0", "none"],
  ["1", "1"],
  ["2", "2"],
  ["3", "3"],
] as const;

/** The click at the ladder's tempo: a bar counted in, divided where it helps, silent for some bars where it is to be done without. */
export function ClickPanel({ click }: { readonly click: ClickInHand }) {
  const { isOn, parts, silent, toggle, divide, silence } = click;
  return (
    <section aria-label="Click" className="flex flex-col gap-2">
      <h2 className="font-serif text-lg">Click</h2>
      <Button aria-pressed={isOn} onClick={toggle} className="self-start">
        {isOn ? <Square size={14} aria-hidden /> : <Metronome size={16} aria-hidden />}
        {isOn ? "Stop the click" : "Click"}
      </Button>
      <Choice
        label="Divided in"
        value={String(parts) as "1"}
        options={PARTS}
        onChange={(next) => divide(Number(next))}
      />
      <Choice
        label="Silent bars after each"
        value={String(silent) as "0"}
        options={SILENT}
        onChange={(next) => silence(Number(next))}
      />
    </section>
  );
}
