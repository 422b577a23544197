"use client";

import { counted } from "@/core/counted";
import Link from "next/link";
import { useState } from "react";
import { toast } from "sonner";
import type { BarMapped } from "@/core/trials/piece-map";
import { mapOfPiece } from "@/server/actions";
import type { PieceMapData } from "@/server/types";
import { useAsk } from "../keeping/ask";
import { Button } from "../ui/button";

/** Height of a row, and least width of a bar in it, px. */
const ROW = 40;
const LEAST_BAR = 10;

const ROWS = [
  ["strain", "Strain predicted", 50],
  ["faults", "Faults a take", 1],
  ["tension", "Tension felt", 10],
] as const satisfies readonly (readonly [keyof BarMapped, string, number])[];

/** What was predicted, what went astray and what was felt, one above another over the bars of the whole piece. */
export function PieceMap({ pieceId }: { readonly pieceId: string }) {
  const [map, setMap] = useState<PieceMapData | null>(null);
  const [bar, setBar] = useState<string | null>(null);
  const { busy, ask } = useAsk(`map ${pieceId}`);
  const look = async (): Promise<void> => {
    const answer = await ask(() => mapOfPiece({ pieceId }));
    if (answer.ok) setMap(answer.value);
    else toast.error(answer.message);
  };
  const chosen = map?.bars.find((one) => one.bar === bar);
  return (
    <section aria-label="Map of takes" className="mt-3">
      {!map ? (
        <Button disabled={busy} onClick={() => void look()}>
          {busy ? "Looking…" : "Map of takes"}
        </Button>
      ) : map.passages.length === 0 ? (
        <p className="text-sm text-soft">Nothing of this piece has been tried yet; trials are made on the Bench.</p>
      ) : (
        <>
          <h2 className="font-serif text-lg">Map of takes</h2>
          {ROWS.map(([of, label, least]) => (
            <Row key={of} {...{ of, label, least }} bars={map.bars} chosen={bar} onBar={setBar} />
          ))}
          {chosen && <AtBar bar={chosen} passages={map.passages} />}
        </>
      )}
    </section>
  );
}

interface RowProps {
  readonly of: (typeof ROWS)[number][0];
  readonly label: string;
  /** What the row shows at least. */
  readonly least: number;
  readonly bars: readonly BarMapped[];
  readonly chosen: string | null;
  readonly onBar: (bar: string) => void;
}

function Row({ of, label, least, bars, chosen, onBar }: RowProps) {
  const most = Math.max(least, ...bars.map((bar) => bar[of] ?? 0));
  return (
    <div className="grid grid-cols-[7.5rem_1fr] items-end border-b border-hairline text-xs">
      <span className="pb-1 text-soft">{label}</span>
      <div role="group" aria-label={`${label}, bar by bar`} className="flex overflow-x-auto">
        {bars.map((bar, i) => {
          const value = bar[of];
          return (
            <button
              key={i}
              type="button"
              disabled={bar.passages.length === 0}
              aria-pressed={chosen === bar.bar}
              aria-label={`Bar ${bar.bar}: ${value === null ? "nothing known" : value.toFixed(1)}`}
              title={`Bar ${bar.bar}`}
              onClick={() => onBar(bar.bar)}
              style={{ minWidth: LEAST_BAR, height: ROW }}
              className="flex flex-1 items-end border-l border-hairline/50 aria-pressed:bg-velvet/10"
            >
              {value !== null && (
                <span className="mx-px w-full bg-ink" style={{ height: Math.max(1, (ROW - 4) * (value / most)) }} />
              )}
            </button>
          );
        })}
      </div>
    </div>
  );
}

function AtBar({ bar, passages }: { readonly bar: BarMapped; readonly passages: PieceMapData["passages"] }) {
  const said = [
    bar.strain === null ? null : `strain ${bar.strain.toFixed(0)}`,
    bar.faults === null ? null : `${bar.faults.toFixed(1)} faults a take`,
    bar.tension === null ? null : `tension ${bar.tension.toFixed(1)} of 10`,
  ].filter((one) => one !== null);
  return (
    <div role="status" className="mt-1 text-sm">
      Bar {bar.bar}: {said.join(", ")}.
      <ul>
        {bar.passages.map((i) => (
          <li key={passages[i]!.id}>
            <Link href={`/bench/${passages[i]!.id}?aside=trials`} className="underline hover:text-velvet">
              {passages[i]!.title}
            </Link>
            , {counted(passages[i]!.takes, "take")}
          </li>
        ))}
      </ul>
    </div>
  );
}
