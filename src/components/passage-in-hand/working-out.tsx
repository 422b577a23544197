import { Progress } from "radix-ui";
import { Button } from "../ui/button";
import type { Working } from "./use-first-options";

/** The search at work, with how far it has come and a way to stop it. */
export function WorkingOut({
  working,
  what = "fingerings",
  onStop,
  onBegin,
}: {
  working: Working;
  what?: string;
  onStop: () => void;
  onBegin: () => void;
}) {
  if (working.state === "idle") return null;
  if (working.state === "failed") {
    return (
      <div className="flex items-center gap-3">
        <p role="alert" className="text-sm text-vermilion">
          {working.message}
        </p>
        <Button onClick={onBegin}>Begin again</Button>
      </div>
    );
  }
  if (working.state === "stopped") {
    return (
      <div className="flex items-center gap-3">
        <p className="text-sm">Stopped before {what === "fingerings" ? "any fingering was found" : "it was done"}.</p>
        <Button onClick={onBegin}>Begin again</Button>
      </div>
    );
  }
  return (
    <div>
      <p className="text-sm">Working out {what}…</p>
      <Progress.Root
        value={Math.round(working.share * 100)}
        aria-label={`Working out ${what}`}
        className="my-2 h-1 bg-hairline"
      >
        <Progress.Indicator className="h-full bg-velvet" style={{ width: `${working.share * 100}%` }} />
      </Progress.Root>
      <Button onClick={onStop}>Stop</Button>
    </div>
  );
}
