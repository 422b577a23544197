import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { BlockBanner } from "@/components/practice/block-banner";
import { SideBySide } from "@/components/side-by-side/side-by-side";
import { database } from "@/server/connection";
import { practiceStandData } from "@/server/practice/stand";
import { passageAsked } from "@/server/passages/passage-asked";

export const dynamic = "force-dynamic";

type Props = { params: Promise<{ passageId: string }>; searchParams: Promise<{ block?: string | string[] }> };

export async function generateMetadata({ params }: Pick<Props, "params">): Promise<Metadata> {
  const data = await passageAsked((await params).passageId);
  return { title: data ? `${data.title}, Side by side` : "Side by side" };
}

/** Which one? Two fingerings over one score, and the verdict. */
export default async function SideBySidePage({ params, searchParams }: Props) {
  const data = await passageAsked((await params).passageId);
  if (!data) notFound();
  const isBlock = (await searchParams).block !== undefined;
  const stand = isBlock ? await practiceStandData(database(), data.id, data.today) : null;
  const block = stand?.ok ? stand.value.block : null;
  return (
    <>
      {block && <BlockBanner block={block} playerId={data.player.id} tempo={null} count={null} />}
      <SideBySide data={data} author={data.player.name} />
    </>
  );
}
