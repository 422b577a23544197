import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { Bench } from "@/components/bench/bench";
import { passageAsked } from "@/server/passages/passage-asked";

export const dynamic = "force-dynamic";

type Props = { params: Promise<{ passageId: string }> };

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  const data = await passageAsked((await params).passageId);
  return { title: data ? `${data.title}, Bench` : "Bench" };
}

/** What do I play with what, and how? */
export default async function BenchPage({ params }: Props) {
  const data = await passageAsked((await params).passageId);
  if (!data) notFound();
  return <Bench data={data} />;
}
