import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { PracticeDesk } from "@/components/practice/practice-desk";
import { database } from "@/server/connection";
import { practiceStandData } from "@/server/practice/stand";
import { passageAsked } from "@/server/passages/passage-asked";

export const dynamic = "force-dynamic";

type Props = { params: Promise<{ passageId: string }> };

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  const data = await passageAsked((await params).passageId);
  return { title: data ? `${data.title}, practice` : "Practice" };
}

/** What do I do in the next ten minutes? */
export default async function PracticePage({ params }: Props) {
  const data = await passageAsked((await params).passageId);
  if (!data) notFound();
  const stand = await practiceStandData(database(), data.id, data.today);
  if (!stand.ok) notFound();
  return <PracticeDesk data={data} stand={stand.value} />;
}
