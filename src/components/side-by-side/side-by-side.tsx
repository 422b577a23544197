"use client";

import { counted } from "@/core/counted";
import { ArrowLeft, ArrowRight } from "lucide-react";
import dynamic from "next/dynamic";
import Link from "next/link";
import { useMemo } from "react";
import { useHotkeys } from "react-hotkeys-hook";
import { fingered, meritTable } from "@/core/merits";
import { placeText } from "@/core/passage/place";
import type { NoteId } from "@/core/passage/note";
import type { PassageData } from "@/server/types";
import { Causes } from "../passage-in-hand/causes";
import { PassageTitle } from "../passage-in-hand/passage-title";
import { useSideOf } from "../passage-in-hand/use-side-of";
import { useSameStudy, useStudyAtHand } from "../passage-in-hand/use-study-at-hand";
import { useNoteInHand, usePassageView } from "../passage-in-hand/use-view";
import { useFigures } from "../build/use-figures";
import { Score } from "../score/score";
import { pageRule, widthOf } from "../ui/paper";
import { TriedTable } from "../trials/tried-table";
import { useParts } from "../trials/use-parts";
import { useTakes } from "../trials/use-takes";
import { Button, buttonLook } from "../ui/button";
import { CauseTable } from "./tables/cause-table";
import { differing, differingNext } from "./tables/differing";
import { MeritTable } from "./tables/merit-table";
import { OptionPicks } from "./option-picks";
import { ReturnsTable } from "./tables/returns-table";
import { useChosen } from "./use-chosen";
import { Verdict } from "./verdict/verdict";

/** The charts come when they are looked at: drawing them takes a library of its own. */
const Charts = dynamic(() => import("./charts/charts").then((m) => m.Charts), { ssr: false });

/** It is printed lying, so that lines are as long as on the screen. */
const ON_PAPER = { id: "a4", lies: true } as const;

/** Two to four options over one another on one score, their figures, their causes, and the verdict. */
export function SideBySide({ data, author }: { data: PassageData; author: string }) {
  const study = useSameStudy(data.study);
  useStudyAtHand(study);
  const view = usePassageView(study, data.options);
  const { all, asked } = view;
  const { chosen, toggle } = useChosen(all);
  const { takes } = useTakes(data.id, true);
  const differ = useMemo(
    () =>
      differing(
        asked,
        chosen.map((o) => o.option.digits),
      ),
    [asked, chosen],
  );
  const { note: selected, at, choose } = useNoteInHand(view, differ[0]);
  const figures = useFigures(view.study, "none").figures;
  const sideOf = useSideOf(view.study.passage);
  const layers = useMemo(() => {
    const marked = new Set(differ);
    return chosen.map(({ option }) => ({ name: option.name, fingering: option.digits, pins: option.pins, marked }));
  }, [chosen, differ]);
  const lanes = useMemo(
    () => chosen.map(({ option, judged }) => ({ name: option.name, judged, written: new Set<NoteId>() })),
    [chosen],
  );
  const rows = useMemo(
    () => meritTable(chosen.map(({ judged }) => fingered(view.study, judged, figures ?? []))),
    [chosen, view.study, figures],
  );
  const parts = useParts(asked, sideOf, figures);
  const jump = (by: 1 | -1): void => {
    const next = selected && differingNext(asked, differ, selected, by);
    if (next) choose(next);
  };
  useHotkeys("right", () => jump(1), { preventDefault: true });
  useHotkeys("left", () => jump(-1), { preventDefault: true });

  if (chosen.length < 2) return <TooFew data={data} />;
  const step = view.steps[at];
  const names = chosen.map((o) => o.option.name);
  return (
    <div>
      <style>{pageRule(ON_PAPER)}</style>
      <Title data={data} all={all} chosen={chosen} onToggle={toggle} />
      <div className="grid gap-6 print:block lg:grid-cols-[1fr_21rem]">
        <div className="flex min-w-0 flex-col gap-6" style={{ maxWidth: `${widthOf(ON_PAPER).printed}mm` }}>
          <div>
            <Differences names={names} count={differ.length} of={asked.length} onJump={jump} />
            <Score
              music={data.music}
              beginning={data.beginning}
              notes={view.notes}
              steps={view.steps}
              layers={layers}
              lanes={lanes}
              sideOf={sideOf}
              remedies={data.study.passage.remedies}
              taken={data.study.passage.taken}
              selected={selected}
              onSelect={choose}
            />
          </div>
          <MeritTable names={names} rows={rows} notes={view.notes} onGo={choose} />
          <div className="break-inside-avoid">
            <Charts chosen={chosen} target={data.study.manner.tempo} />
          </div>
          <ReturnsTable chosen={chosen} notes={view.notes} onGo={choose} />
          <CauseTable pair={chosen} />
        </div>
        <aside className="flex flex-col gap-6">
          <div className="print:hidden">
            <Verdict data={data} study={view.study} author={author} takes={takes ?? []} />
          </div>
          {takes && <TriedTable takes={takes} options={data.options} parts={parts} />}
          <Causes all={chosen} note={selected} title={step ? `At ${placeText(step.bar, step.beat)}` : ""} />
        </aside>
      </div>
    </div>
  );
}

function TooFew({ data }: { data: PassageData }) {
  return (
    <div>
      <PassageTitle data={data} />
      <p className="mt-6">
        There are not yet two options to hold against each other.{" "}
        <Link href={`/bench/${data.id}`} className="text-velvet underline">
          Work them out on the Bench
        </Link>
      </p>
    </div>
  );
}

type TitleProps = { readonly data: PassageData } & Parameters<typeof OptionPicks>[0];

/** Which options are held against one another, and what can be done with them. */
function Title({ data, all, chosen, onToggle }: TitleProps) {
  const names = chosen.map((o) => o.option.name);
  return (
    <PassageTitle data={data}>
      <OptionPicks all={all} chosen={chosen} onToggle={onToggle} />
      <a href={`/passages/${data.id}/options?names=${names.join(",")}`} download className={buttonLook()}>
        As one file
      </a>
      <Button onClick={() => window.print()}>Print</Button>
      <Link href={`/bench/${data.id}`} className={buttonLook()}>
        Bench
      </Link>
    </PassageTitle>
  );
}

interface DifferencesProps {
  readonly names: readonly string[];
  readonly count: number;
  readonly of: number;
  readonly onJump: (by: 1 | -1) => void;
}

function Differences({ names, count, of, onJump }: DifferencesProps) {
  return (
    <div className="flex flex-wrap items-center gap-3 pt-2">
      <p>
        {count === 0
          ? "They are the same on every note."
          : `They differ on ${count} of ${counted(of, "note")}, marked with a box. From the notes outwards: ${names.join(", ")}.`}
      </p>
      <span className="ml-auto flex gap-1">
        <Button onClick={() => onJump(-1)} disabled={count === 0} aria-label="Difference before">
          <ArrowLeft size={16} aria-hidden />
        </Button>
        <Button onClick={() => onJump(1)} disabled={count === 0} aria-label="Next difference">
          <ArrowRight size={16} aria-hidden />
        </Button>
      </span>
    </div>
  );
}
