import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { SideBySide } from "@/components/side-by-side/side-by-side";
import { passageAsked } from "@/server/passages/passage-asked";

export const dynamic = "force-dynamic";

type Props = { params: Promise<{ passageId: string }> };

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  const data = await passageAsked((await params).passageId);
  return { title: data ? `${data.title}, Side by side` : "Side by side" };
}

/** Which one? Two fingerings over one score, and the verdict. */
export default async function SideBySidePage({ params }: Props) {
  const data = await passageAsked((await params).passageId);
  if (!data) notFound();
  return <SideBySide data={data} author={data.player.name} />;
}
