import type { NoteId } from "@/core/passage/note";
import { SNIP } from "@/core/physics";
import { Button } from "../ui/button";
import type { SnipHeld } from "./use-snip";

interface Props {
  readonly snip: SnipHeld;
  /** Notes that are chosen on the score, or the one in hand. */
  readonly chosen: readonly NoteId[];
  /** Where the snip lies, in words. */
  readonly place: string;
}

/** A few notes by themselves at full speed: taken from the score, shortened and grown. */
export function SnipPanel({ snip, chosen, place }: Props) {
  if (!snip.length)
    return (
      <div className="text-sm">
        <Button disabled={chosen.length === 0} onClick={() => snip.take(chosen)}>
          Try a snip of it
        </Button>
        <p className="mt-1 text-soft">
          {SNIP.least} to {SNIP.most} notes at full speed about what is chosen on the score.
        </p>
      </div>
    );
  const { now, asked } = snip.length;
  return (
    <section aria-label="The snip" className="border border-hairline p-3 text-sm">
      <p>
        <strong className="font-medium">
          {now} of {asked} notes
        </strong>
        , {place}
      </p>
      <p aria-live="polite" className="min-h-5 text-soft">
        {snip.said}
      </p>
      <div className="mt-1 flex flex-wrap gap-1">
        <Button className="px-2!" disabled={now <= SNIP.least} onClick={() => snip.change(false)}>
          A note fewer
        </Button>
        <Button className="px-2!" disabled={now >= asked} onClick={() => snip.change(true)}>
          A note more
        </Button>
        <Button look="quiet" className="px-2!" onClick={snip.leave}>
          The whole again
        </Button>
      </div>
    </section>
  );
}
