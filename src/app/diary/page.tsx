import type { Metadata } from "next";
import { Diary } from "@/components/diary/diary";
import { database } from "@/server/connection";
import { passageData } from "@/server/passages/passages";
import { today } from "@/server/players/day";
import { playerInHand } from "@/server/players/player-in-hand";
import { playersZone } from "@/server/players/players-zone";
import { DiaryAsked, diaryData } from "@/server/practice/diary";
import { storyData } from "@/server/practice/story";

export const metadata: Metadata = { title: "Diary" };
export const dynamic = "force-dynamic";

type Props = { searchParams: Promise<Readonly<Record<string, string | string[] | undefined>>> };

/** How did it go? Day by day, or of one passage over the years. */
export default async function DiaryPage({ searchParams }: Props) {
  const { passage = null, words = "", back = 0 } = await searchParams;
  const asked = DiaryAsked.parse({ passage, words, back });
  const [who, zone] = await Promise.all([playerInHand(), playersZone()]);
  const story = asked.passage === null ? null : await storyData(database(), who.id, asked.passage, zone);
  const wanted = story === null ? { ...asked, passage: null } : asked;
  const [diary, score] = await Promise.all([
    diaryData(database(), who.id, wanted, { day: today(zone), zone }),
    wanted.passage === null ? null : passageData(database(), wanted.passage, zone),
  ]);
  return <Diary diary={diary} story={story} score={score} words={wanted.words} back={wanted.back} />;
}
