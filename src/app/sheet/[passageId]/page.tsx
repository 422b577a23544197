import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { Sheet } from "@/components/sheet/sheet";
import { passageAsked } from "@/server/passages/passage-asked";

export const dynamic = "force-dynamic";

type Props = { params: Promise<{ passageId: string }> };

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  const data = await passageAsked((await params).passageId);
  return { title: data ? `${data.title}, sheet` : "Sheet" };
}

/** What do I put on the music desk? */
export default async function SheetPage({ params }: Props) {
  const data = await passageAsked((await params).passageId);
  if (!data) notFound();
  return <Sheet data={data} />;
}
