"use client";

import { ArrowLeft, ArrowRight } from "lucide-react";
import Link from "next/link";
import { useMemo } from "react";
import { useHotkeys } from "react-hotkeys-hook";
import { differences } from "@/core/fingering/fingering";
import type { NoteId } from "@/core/passage/note";
import type { PassageData } from "@/server/types";
import { Causes } from "../bench/causes";
import type { OptionJudged } from "../bench/option-cards";
import { PassageTitle } from "../bench/passage-title";
import { useNoteInHand, useOptionInView, usePassageView } from "../bench/use-view";
import { placeText } from "@/core/passage/place";
import { Score } from "../score/score";
import { Button, buttonLook } from "../ui/button";
import { INPUT_LOOK } from "../ui/field";
import { CauseTable } from "./cause-table";
import { Verdict } from "./verdict";

/** Two options over each other on one score, their differences, their causes, and the verdict. */
export function SideBySide({ data, author }: { data: PassageData; author: string }) {
  const view = usePassageView(data.study, data.options);
  const { all, asked } = view;
  const { option: first, choose: chooseFirst } = useOptionInView(all, "first", 0);
  const { option: second, choose: chooseSecond } = useOptionInView(all, "second", 1);
  const pair = useMemo(() => [first, second].filter((o): o is OptionJudged => o !== undefined), [first, second]);
  const differing = useMemo(
    () => (first && second ? differences(asked, first.option.digits, second.option.digits) : []),
    [asked, first, second],
  );
  const { note: selected, at, choose } = useNoteInHand(view, differing[0]);
  const layers = useMemo(
    () =>
      pair.map(({ option }) => ({
        name: option.name,
        fingering: option.digits,
        pins: option.pins,
        marked: new Set(differing),
      })),
    [pair, differing],
  );
  const lanes = useMemo(
    () => pair.map(({ option, judged }) => ({ name: option.name, judged, written: new Set<NoteId>() })),
    [pair],
  );
  const step = view.steps[at];
  const jump = (by: 1 | -1): void => {
    if (differing.length === 0 || !selected) return;
    const at = differing.indexOf(selected);
    const next =
      at >= 0 ? at + by : differing.findIndex((id) => asked.indexOf(id) > asked.indexOf(selected)) - (by === 1 ? 0 : 1);
    choose(differing[(next + differing.length) % differing.length]!);
  };
  useHotkeys("right", () => jump(1), { preventDefault: true });
  useHotkeys("left", () => jump(-1), { preventDefault: true });

  if (pair.length < 2) {
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
  return (
    <div>
      <PassageTitle data={data}>
        <Pick label="First" all={all} value={first!.option.name} onPick={chooseFirst} />
        <Pick label="Second" all={all} value={second!.option.name} onPick={chooseSecond} />
        <Link href={`/bench/${data.id}`} className={buttonLook()}>
          Bench
        </Link>
      </PassageTitle>
      <div className="grid gap-6 lg:grid-cols-[1fr_21rem]">
        <div className="min-w-0">
          <div className="flex flex-wrap items-center gap-3 pt-2">
            <p>
              {differing.length === 0
                ? "The two are the same on every note."
                : `They differ on ${differing.length} of ${asked.length} notes, marked with a box. ${first!.option.name} stands nearer to the notes, ${second!.option.name} outside it.`}
            </p>
            <span className="ml-auto flex gap-1">
              <Button onClick={() => jump(-1)} disabled={differing.length === 0} aria-label="Difference before">
                <ArrowLeft size={16} aria-hidden />
              </Button>
              <Button onClick={() => jump(1)} disabled={differing.length === 0} aria-label="Next difference">
                <ArrowRight size={16} aria-hidden />
              </Button>
            </span>
          </div>
          <Score
            music={data.music}
            notes={view.notes}
            steps={view.steps}
            layers={layers}
            lanes={lanes}
            remedies={data.study.passage.remedies}
            selected={selected}
            onSelect={choose}
          />
          <CauseTable pair={pair} />
        </div>
        <aside className="flex flex-col gap-6">
          <Verdict data={data} author={author} />
          <Causes all={pair} note={selected} title={step ? `At ${placeText(step.bar, step.beat)}` : ""} />
        </aside>
      </div>
    </div>
  );
}

function Pick({
  label,
  all,
  value,
  onPick,
}: {
  label: string;
  all: readonly OptionJudged[];
  value: string;
  onPick: (name: string) => void;
}) {
  return (
    <label className="flex items-center gap-2 text-sm text-soft">
      {label}
      <select value={value} onChange={(event) => onPick(event.target.value)} className={`${INPUT_LOOK} text-ink`}>
        {all.map(({ option }) => (
          <option key={option.id}>{option.name}</option>
        ))}
      </select>
    </label>
  );
}
