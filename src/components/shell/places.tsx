"use client";

import { Lamp } from "lucide-react";
import Link from "next/link";
import { usePathname } from "next/navigation";
import { useEffect } from "react";
import { engraver, fingeringWorker } from "@/worker/clients";
import { PlayerMenu, type Seated } from "../players/player-menu";
import { readyKeptEngravings } from "../score/engraving/kept-engravings";
import { THEME_KEY } from "./theme";

const PLACES = [
  { href: "/", label: "Repertoire" },
  { href: "/hands", label: "Hands" },
  { href: "/diary", label: "Diary" },
] as const;

/** ms after which the Bench is fetched ahead, when the page at hand has long been there. */
const SETTLED = 1500;

/**
 * The way between the places. The workers start with the first page; so does the Bench, which is where most ways lead.
 */
export function Places({ players, now }: { players: readonly Seated[]; now: Seated | null }) {
  const path = usePathname();
  useEffect(() => {
    engraver();
    fingeringWorker();
    readyKeptEngravings();
    const soon = setTimeout(() => void import("../bench/bench"), SETTLED);
    return () => clearTimeout(soon);
  }, []);
  return (
    <header className="sticky top-0 z-30 border-b border-hairline bg-paper print:hidden">
      <div className="mx-auto flex h-(--header) max-w-[1400px] items-center gap-8 px-6">
        <Link href="/" className="font-serif text-xl tracking-tight text-velvet italic">
          Velvet Thumb
        </Link>
        <nav aria-label="Places" className="flex gap-5 text-sm">
          {PLACES.map(({ href, label }) => (
            <Link
              key={href}
              href={href}
              aria-current={path === href ? "page" : undefined}
              className="flex min-h-11 items-center border-b-2 border-transparent aria-[current=page]:border-velvet"
            >
              {label}
            </Link>
          ))}
        </nav>
        <div className="ml-auto flex items-center gap-3">
          {players.length > 0 && <PlayerMenu all={players} now={now} />}
          <button
            type="button"
            onClick={turnLight}
            aria-label="Dim or light the room"
            title="Dim or light the room"
            className="grid size-11 place-items-center text-soft"
          >
            <Lamp size={18} aria-hidden />
          </button>
        </div>
      </div>
    </header>
  );
}

function turnLight(): void {
  const next = document.documentElement.dataset["theme"] === "stage" ? "paper" : "stage";
  document.documentElement.dataset["theme"] = next;
  localStorage.setItem(THEME_KEY, next);
}
