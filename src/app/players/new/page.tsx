import type { Metadata } from "next";
import { BeginForm } from "@/components/players/begin-form";
import { DemoAway } from "@/components/players/demo-away";
import { database } from "@/server/connection";
import { demoAway } from "@/server/players/players";

export const metadata: Metadata = { title: "Begin" };
export const dynamic = "force-dynamic";

/** A player's own beginning. */
export default async function Begin() {
  const away = await demoAway(database());
  return (
    <div className="mx-auto max-w-xl">
      <h1 className="mb-4 border-b border-hairline pb-2 font-serif text-3xl">Begin with your own hands</h1>
      <BeginForm />
      {away && <DemoAway id={away} />}
    </div>
  );
}
