"use client";

import dynamic from "next/dynamic";
import Link from "next/link";
import type { DiaryData, PassageData, StoryData } from "@/server/types";
import { buttonLook } from "../ui/button";
import { DiaryDayEntry } from "./diary-day";
import { DiarySearch } from "./diary-search";
import { NoteForm } from "./note-form";
import { Story } from "./story";

/** The charts come when they are looked at: drawing them takes a library of its own. */
const DoseChart = dynamic(() => import("./dose-chart").then((m) => m.DoseChart), { ssr: false });

interface Props {
  readonly diary: DiaryData;
  /** Of the passage that is looked at; null for all. */
  readonly story: StoryData | null;
  /** That passage with its music; null for all. */
  readonly score: PassageData | null;
  readonly words: string;
  readonly back: number;
}

/** What was played, how it went, what was decided and why: day by day, or of one passage over the years. */
export function Diary({ diary, story, score, words, back }: Props) {
  const { days, passages, doses, hasMore } = diary;
  const titles = new Map(passages.map(({ id, title }) => [id, title]));
  return (
    <div className="grid gap-10 lg:grid-cols-[1fr_20rem]">
      <div className="min-w-0">
        <Title story={story} />
        {story && <Story story={story} score={score} />}
        {days.length === 0 && (
          <p className="mt-4 max-w-prose">
            {words === "" ? "Nothing is written here yet." : `No day holds “${words}”.`}
          </p>
        )}
        {days.map((day) => (
          <DiaryDayEntry key={day.day} day={day} titles={titles} isOfOne={story !== null} />
        ))}
        {!story && words === "" && <Pages back={back} page={diary.page} hasMore={hasMore} />}
      </div>
      <aside className="flex flex-col gap-6 text-sm print:hidden">
        <DiarySearch passages={passages} passageId={story?.passage.id ?? null} words={words} />
        <NoteForm
          key={story?.passage.id ?? "all"}
          playerId={diary.playerId}
          today={diary.today}
          passages={passages}
          passageId={story?.passage.id ?? null}
        />
        {!story && doses.length > 0 && <DoseChart doses={doses} />}
        <p className="text-soft">
          What you write and feel is yours: it stays in your own database, and leaves it only in a file that you ask
          for.
        </p>
      </aside>
    </div>
  );
}

function Title({ story }: Pick<Props, "story">) {
  return (
    <h1 className="border-b border-hairline pb-2 font-serif text-3xl">
      {story ? story.passage.title : "Diary"}
      {story && <span className="text-xl text-soft italic"> {story.passage.piece}</span>}
    </h1>
  );
}

function Pages({ back, page, hasMore }: { readonly back: number } & Pick<DiaryData, "page" | "hasMore">) {
  return (
    <p className="mt-4 flex gap-2 print:hidden">
      {hasMore && (
        <Link href={`/diary?back=${back + page}`} className={buttonLook()}>
          Earlier days
        </Link>
      )}
      {back > 0 && (
        <Link href={back > page ? `/diary?back=${back - page}` : "/diary"} className={buttonLook()}>
          Later days
        </Link>
      )}
    </p>
  );
}
