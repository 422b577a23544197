import type { Metadata } from "next";
import { BeginForm } from "@/components/players/begin-form";

export const metadata: Metadata = { title: "Begin" };

/** A player's own beginning. */
export default function Begin() {
  return (
    <div className="mx-auto max-w-xl">
      <h1 className="mb-4 border-b border-hairline pb-2 font-serif text-3xl">Begin with your own hands</h1>
      <BeginForm />
    </div>
  );
}
