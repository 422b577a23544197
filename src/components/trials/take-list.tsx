import { format } from "date-fns";
import type { OptionData, TakeData } from "@/server/types";

/** Takes listed at first. */
const AT_FIRST = 8;

interface Props {
  readonly takes: readonly TakeData[];
  readonly options: readonly OptionData[];
  /** The one that is looked at. */
  readonly looked: string | null;
  readonly onLook: (id: string) => void;
}

/** The newest takes, one a row: when, of which option, how fast, and what came of it. */
export function TakeList({ takes, options, looked, onLook }: Props) {
  const names = new Map(options.map(({ id, name }) => [id, name]));
  return (
    <section aria-label="Takes">
      <h2 className="font-serif text-lg">Takes</h2>
      <ul className="text-sm">
        {takes.slice(0, AT_FIRST).map(({ id, at, fingeringId, source, tempoReached, clean, faults }) => (
          <li key={id} className="border-b border-hairline">
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
              </span>
              <span className="tabular-nums">
                {tempoReached === null ? "" : `♩ ${Math.round(tempoReached)}, `}
                {clean ? "clean" : faults === 1 ? "1 fault" : faults > 0 ? `${faults} faults` : "not clean"}
              </span>
            </button>
          </li>
        ))}
      </ul>
      {takes.length > AT_FIRST && <p className="mt-1 text-sm text-soft">and {takes.length - AT_FIRST} more</p>}
    </section>
  );
}
