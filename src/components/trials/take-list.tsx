import { format } from "date-fns";
import { GitCompareArrows } from "lucide-react";
import { useState } from "react";
import type { OptionData, TakeData } from "@/server/types";
import { Button } from "../ui/button";

/** Takes listed at first. */
const AT_FIRST = 8;

interface Props {
  readonly takes: readonly TakeData[];
  readonly options: readonly OptionData[];
  /** The one that is looked at. */
  readonly looked: string | null;
  readonly onLook: (id: string) => void;
  /** The one it is held against. */
  readonly against: string | null;
  readonly onAgainst: (id: string | null) => void;
}

/** The newest takes, one a row: when, of which option, how fast, and what came of it. */
export function TakeList({ takes, options, looked, onLook, against, onAgainst }: Props) {
  const [most, setMost] = useState(AT_FIRST);
  const names = new Map(options.map(({ id, name }) => [id, name]));
  return (
    <section aria-label="Takes">
      <h2 className="font-serif text-lg">Takes</h2>
      <ul className="text-sm">
        {takes.slice(0, most).map(({ id, at, fingeringId, source, snip, tempoReached, clean, faults }) => (
          <li key={id} className="flex items-center gap-1 border-b border-hairline">
            <button
              type="button"
              aria-current={looked === id}
              onClick={() => onLook(id)}
              className="flex min-h-11 w-full items-center justify-between gap-2 text-left hover:text-velvet aria-[current=true]:font-medium"
            >
              <span>
                {format(new Date(at), "d MMM HH:mm")}{" "}
                <span className="font-serif italic">{names.get(fingeringId) ?? "–"}</span>
                {source === "simulated piano" && <span className="text-soft"> sim.</span>}
                {snip && <span className="text-soft"> snip</span>}
              </span>
              <span className="tabular-nums">
                {tempoReached === null ? "" : `♩ ${Math.round(tempoReached)}, `}
                {clean ? "clean" : faults === 1 ? "1 fault" : faults > 0 ? `${faults} faults` : "not clean"}
              </span>
            </button>
            {looked !== null && looked !== id && (
              <button
                type="button"
                aria-pressed={against === id}
                aria-label={`Hold it against the take of ${format(new Date(at), "d MMM HH:mm")}`}
                title="Hold it against the one looked at"
                onClick={() => onAgainst(against === id ? null : id)}
                className="size-11 shrink-0 text-soft hover:text-velvet aria-pressed:text-velvet"
              >
                <GitCompareArrows size={16} aria-hidden className="mx-auto" />
              </button>
            )}
          </li>
        ))}
      </ul>
      {takes.length > most && (
        <Button look="quiet" className="px-0! underline" onClick={() => setMost(takes.length)}>
          and {takes.length - most} more
        </Button>
      )}
    </section>
  );
}
