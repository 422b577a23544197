"use client";

import { format, parseISO } from "date-fns";
import Link from "next/link";
import { SIGNS } from "@/core/motion/marks/signs";
import { placeText } from "@/core/passage/place";
import { LADDER } from "@/core/physics";
import type { PassageData } from "@/server/types";
import { SignLegend } from "../plan/signs/sign-legend";
import { JoinSign } from "../score/marks/join-sign";
import { Score } from "../score/score";
import { Button, buttonLook } from "../ui/button";
import { pageRule, widthOf } from "../ui/paper";
import { SheetControls } from "./sheet-controls";
import { SIZES, useSheet, type SheetInHand } from "./use-sheet";

/** A page for the music desk: the passage with one option's digits, and everything that is known about playing it. */
export function Sheet({ data }: { readonly data: PassageData }) {
  const sheet = useSheet(data);
  const { asked, drawn, plan, option, isWhole } = sheet;
  const paper = { id: asked.paper, lies: asked.lies };
  const { printed } = widthOf(paper);
  const pdf = `/sheet/${data.id}/pdf?${new URLSearchParams({
    option: option?.name ?? "",
    paper: asked.paper,
    lies: String(asked.lies),
    size: asked.size,
    signs: String(asked.signs),
    lanes: asked.lanes,
  }).toString()}`;
  return (
    <div>
      <style>{pageRule(paper)}</style>
      <div className="mb-4 flex flex-wrap items-end gap-3 border-b border-hairline pb-3 print:hidden">
        <SheetControls sheet={sheet} options={data.options} />
        <div className="ml-auto flex gap-2">
          <Button look="main" onClick={() => window.print()}>
            Print
          </Button>
          <a href={pdf} className={buttonLook()}>
            As PDF
          </a>
          <Link href={`/bench/${data.id}`} className={buttonLook("quiet")}>
            Bench
          </Link>
        </div>
      </div>
      <article
        aria-label="Sheet"
        aria-busy={!isWhole}
        className="mx-auto bg-paper print:mx-0"
        style={{ width: `${printed}mm` }}
      >
        <Heading data={data} sheet={sheet} />
        {option && (
          <Score
            music={data.music}
            zoom={SIZES[asked.size]}
            {...drawn}
            plan={plan}
            selected={null}
            onSelect={() => undefined}
          />
        )}
        <div className="mt-3 grid grid-cols-2 gap-x-8 gap-y-3 text-sm">
          <Hardest sheet={sheet} />
          <ToDrill sheet={sheet} tempo={data.study.manner.tempo} />
          <Decided sheet={sheet} />
          <Legend sheet={sheet} />
        </div>
      </article>
    </div>
  );
}

function Heading({ data, sheet: { option } }: { readonly data: PassageData; readonly sheet: SheetInHand }) {
  const { tempo, touch, pedal } = data.study.manner;
  return (
    <header className="mb-2 border-b border-hairline pb-1">
      <h1 className="font-serif text-2xl">
        {data.title} <span className="text-lg text-soft italic">{data.piece.title}</span>
      </h1>
      <p className="text-sm">
        Bars {data.bars.from} to {data.bars.to}, ♩ = {Math.round(tempo)}, {touch}
        {pedal && ", with pedal"}. Digits of {option?.author ?? `option ${option?.name ?? "?"}`}
        {option?.title && ` (${option.title})`}, for the hands of {data.player.name}.
      </p>
    </header>
  );
}

function Hardest({ sheet: { hardest } }: { readonly sheet: SheetInHand }) {
  if (hardest.length === 0) return null;
  return (
    <section aria-label="The hardest places" className="break-inside-avoid">
      <h2 className="font-serif text-lg">The hardest places</h2>
      <ul>
        {hardest.map(({ step, causes }) => (
          <li key={step.notes[0]}>
            <span className="text-soft">{placeText(step.bar, step.beat)}: </span>
            {causes.join("; ")}
          </li>
        ))}
      </ul>
    </section>
  );
}

function ToDrill({ sheet: { drills }, tempo }: { readonly sheet: SheetInHand; readonly tempo: number }) {
  if (drills.length === 0) return null;
  return (
    <section aria-label="To drill" className="break-inside-avoid">
      <h2 className="font-serif text-lg">To drill</h2>
      <ul>
        {drills.map(({ drill, reason }) => (
          <li key={`${drill.id} ${reason}`}>
            {drill.name} <span className="text-soft">{reason}</span>
          </li>
        ))}
      </ul>
      <p>
        From ♩ = {Math.round(tempo * LADDER.begins)} up to {Math.round(tempo)}, a notch at a time, when clean and easy.
      </p>
    </section>
  );
}

function Decided({ sheet: { verdict } }: { readonly sheet: SheetInHand }) {
  if (!verdict) return null;
  return (
    <section aria-label="Decided" className="break-inside-avoid">
      <h2 className="font-serif text-lg">Decided</h2>
      <p>
        {verdict.reason || "Taken, no reason written down."}{" "}
        <span className="text-soft">
          {verdict.author}, {format(parseISO(verdict.at), "d MMMM yyyy")}
        </span>
      </p>
    </section>
  );
}

/** What the marks on this sheet mean: only those that stand on it. */
function Legend({ sheet: { plan, drawn } }: { readonly sheet: SheetInHand }) {
  const seen = new Set<string>(plan?.signs.map(({ sign }) => sign));
  const signs = SIGNS.filter(({ id }) => seen.has(id));
  const joins = [...new Set((drawn.positions ?? []).flatMap(({ join }) => join?.kind ?? []))];
  return (
    <section aria-label="Legend" className="break-inside-avoid text-xs">
      <h2 className="font-serif text-lg">What stands here</h2>
      <p>Brackets under a hand: what lies under it without moving. The band: strain, more where it is taller.</p>
      <ul className="flex flex-wrap gap-x-4">
        {joins.map((kind) => (
          <li key={kind} className="flex items-center gap-1">
            <svg width={18} height={16} viewBox="-9 -8 18 16" aria-hidden>
              <JoinSign kind={kind} />
            </svg>
            {kind}
          </li>
        ))}
      </ul>
      {(drawn.figures?.length ?? 0) > 0 && <p>Letters over a line: figures that return with the same fingers.</p>}
      {(plan?.lanes.length ?? 0) > 0 && <p>Dotted in the lanes: the limits of these hands.</p>}
      {signs.length > 0 && <SignLegend signs={signs} />}
    </section>
  );
}
