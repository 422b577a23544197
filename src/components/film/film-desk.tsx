"use client";

import Link from "next/link";
import { useMemo, useState } from "react";
import { marksOfPose } from "@/core/film/hand-marked";
import type { Side } from "@/core/hand/finger";
import type { Pose } from "@/core/hand/pose";
import { handAt } from "@/core/motion/plan/moment";
import type { Plan } from "@/core/motion/plan/plan";
import type { FilmData, PassageData } from "@/server/types";
import { PassageTitle } from "../passage-in-hand/passage-title";
import { useSameStudy, useStudyAtHand } from "../passage-in-hand/use-study-at-hand";
import { usePassageView } from "../passage-in-hand/use-view";
import { usePlan } from "../plan/use-plan";
import { buttonLook } from "../ui/button";
import { drawnFilm } from "./drawn-film";
import { FilmChoice } from "./film-choice";
import type { FilmSource } from "./film-source";
import { HandPanel } from "./hand-panel";
import { KeysPanel } from "./keys-panel";
import { MeasuredPanel } from "./measured-panel";
import { Picture } from "./picture";
import { SeenPanel } from "./seen-panel";
import { Transport } from "./transport";
import { useFilm, type FilmOnDesk } from "./use-film";
import { useMarking, type Marking } from "./use-marking";

/** A clip or a photograph from above, measured by its own keys and held against the plan's hands. */
export function FilmDesk({ data, films: given }: { data: PassageData; films: readonly FilmData[] }) {
  const study = useSameStudy(data.study);
  useStudyAtHand(study);
  const view = usePassageView(study, data.options);
  const { instrument, passage } = view.study;
  const [option] = data.options;
  const plan = usePlan("film", option?.id, option?.digits, study.manner.tempo, data.planMarks, data.study);
  const drawn = useMemo(() => (plan ? drawnFilm(plan, instrument) : null), [plan, instrument]);
  const [films, setFilms] = useState(given);
  const film = useFilm(data.id, drawn, (kept) => setFilms([kept, ...films]));
  const [asked, setPicture] = useState(0);
  const picture = film.source ? Math.min(asked, film.source.pictures - 1) : 0;
  const played = useMemo(() => {
    const asked = new Set(view.asked);
    return passage.notes.flatMap(({ id, pitch }) => (asked.has(id) ? [pitch] : []));
  }, [passage, view.asked]);
  const marking = useMarking(film, picture, instrument, played);
  const { hand, ruler, side } = marking;
  const planned = plan && hand?.note ? poseAt(plan, side, hand.note) : null;
  return (
    <div>
      <PassageTitle data={data}>
        <Link href={`/bench/${data.id}?aside=trials`} className={buttonLook()}>
          Bench
        </Link>
      </PassageTitle>
      <div className="grid gap-6 lg:grid-cols-[1fr_20rem]">
        <div className="min-w-0 lg:sticky lg:top-(--header) lg:self-start">
          {film.source ? (
            <OnDesk source={film.source} {...{ film, picture, marking, planned }} onPicture={setPicture} />
          ) : (
            <p className="py-24 text-center font-serif text-soft italic">Drawing…</p>
          )}
        </div>
        <aside className="flex flex-col gap-4 text-sm">
          <FilmChoice film={film} films={films} onGone={(id) => setFilms(films.filter((one) => one.id !== id))} />
          <KeysPanel marking={marking} isMarked={film.marks.keys !== null} />
          {film.marks.keys && <HandPanel marking={marking} steps={view.steps} />}
          {ruler && hand && <MeasuredPanel side={side} marks={marking.onKeys} planned={planned} />}
          <SeenPanel passageId={data.id} marks={film.marks} plan={plan} steps={view.steps} onMarks={film.setMarks} />
        </aside>
      </div>
    </div>
  );
}

interface OnDeskProps {
  readonly source: FilmSource;
  readonly film: FilmOnDesk;
  readonly picture: number;
  readonly marking: Marking;
  readonly planned: Pose | null;
  readonly onPicture: (picture: number) => void;
}

/** The picture that lies on the desk, and the way through the others. */
function OnDesk({ source, film, picture, marking, planned, onPicture }: OnDeskProps) {
  return (
    <>
      <p role="status" className="py-1 text-sm">
        <strong className="font-medium">Click on {marking.next}.</strong>{" "}
        <span className="text-soft">{source.name}</span>
      </p>
      <Picture source={source} picture={picture} marking={marking} planned={planned && marksOfPose(planned)} />
      <Transport source={source} picture={picture} marked={film.marks.hands} onPicture={onPicture} />
    </>
  );
}

/** The plan's hand at the onset of a note; null where the plan has none there. */
function poseAt(plan: Plan, side: Side, note: string): Pose | null {
  const hand = plan.hands.find((one) => one.side === side);
  const frame = hand?.frames.find(({ notes }) => (notes as readonly string[]).includes(note));
  return (hand && frame && handAt(hand, frame.ms)?.pose) ?? null;
}
