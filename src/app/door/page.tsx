import type { Metadata } from "next";
import { Door } from "@/components/door/door";

export const metadata: Metadata = { title: "The door" };
export const dynamic = "force-dynamic";

/** Who may come in from another machine. */
export default function DoorPage() {
  return <Door />;
}
