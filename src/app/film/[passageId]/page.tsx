import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { FilmDesk } from "@/components/film/film-desk";
import { database } from "@/server/connection";
import { passageAsked } from "@/server/passages/passage-asked";
import { filmsData } from "@/server/trials/films";

export const dynamic = "force-dynamic";

type Props = { params: Promise<{ passageId: string }> };

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  const data = await passageAsked((await params).passageId);
  return { title: data ? `${data.title}, film` : "Film" };
}

/** What do the hands really look like? */
export default async function FilmPage({ params }: Props) {
  const data = await passageAsked((await params).passageId);
  if (!data) notFound();
  return <FilmDesk data={data} films={await filmsData(database(), data.id)} />;
}
