"use client";

import { useMemo } from "react";
import type { Step } from "@/core/fingering/study/steps";
import type { NoteId } from "@/core/passage/note";
import type { PassageData, StoryData } from "@/server/types";
import { takenOr } from "../passage-in-hand/taken";
import { useSideOf } from "../passage-in-hand/use-side-of";
import { usePassageView } from "../passage-in-hand/use-view";
import type { PlanDrawn } from "../score/drawn";
import { Score } from "../score/score";

interface Props {
  readonly data: PassageData;
  /** Tension felt by bar as numbered on paper. */
  readonly bars: StoryData["bars"];
}

const NO_LANES: readonly never[] = [];
/** What was felt is said from 0 to 10. */
const RANGE = [0, 10] as const;

/** The passage with the digits in force, and under each line how tense its bars were felt to be. */
export function TensionOnScore({ data, bars }: Props) {
  const view = usePassageView(data.study, data.options);
  const sideOf = useSideOf(view.study.passage);
  const option = takenOr(data);
  const layers = useMemo(
    () => [
      {
        name: option?.name ?? "",
        fingering: option?.digits ?? {},
        pins: option?.pins ?? {},
        marked: new Set<NoteId>(),
      },
    ],
    [option],
  );
  const plan = useMemo(() => tensionLane(view.steps, bars), [view.steps, bars]);
  return (
    <figure aria-label="Tension on the score">
      <Score
        music={data.music}
        beginning={data.beginning}
        notes={view.notes}
        steps={view.steps}
        layers={layers}
        lanes={NO_LANES}
        sideOf={sideOf}
        plan={plan}
        selected={null}
        onSelect={() => undefined}
      />
      <figcaption className="text-sm text-soft">
        Tension felt, 0 to 10, in the mean of all takes that named the bar
        {option ? `; digits of option ${option.name}` : ""}.
      </figcaption>
    </figure>
  );
}

/** One lane: at every onset what was felt in its bar; nothing where nothing was said. */
function tensionLane(steps: readonly Step[], bars: StoryData["bars"]): PlanDrawn {
  const felt = new Map(bars.map((one) => [one.bar, one.tension]));
  const points = steps.flatMap(({ bar, notes: [note] }) => {
    const value = felt.get(bar);
    if (value === undefined || note === undefined) return [];
    return [{ note, value, words: `tension of ${value.toFixed(1)} of 10 in bar ${bar}`, beyond: false, room: null }];
  });
  const series = { points, range: RANGE, limits: [], unit: "" };
  return {
    lanes: [{ id: "tension", label: "Tension felt", kind: "bars", rows: [{ name: "tension", series }] }],
    signs: [],
    onFold: () => undefined,
  };
}
