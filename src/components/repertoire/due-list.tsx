import { format, parseISO } from "date-fns";
import Link from "next/link";
import type { DueData } from "@/server/types";

/** What wants something of the player: passages to be decided on, and fingerings to be looked at again. */
export function DueList({ due }: { due: readonly DueData[] }) {
  if (due.length === 0) return null;
  return (
    <section aria-label="What is due" className="mt-4 border-l-2 border-velvet pl-4">
      <h2 className="font-serif text-xl">What is due</h2>
      <ul>
        {due.map((item) => (
          <li key={item.passageId}>
            <Link
              href={`/side-by-side/${item.passageId}`}
              className="flex min-h-11 flex-wrap items-center gap-x-3 hover:text-velvet"
            >
              <span>{item.title}</span>
              <span className="text-sm text-soft">
                <span className="font-serif italic">{item.piece}</span>, {dueText(item)}
              </span>
            </Link>
          </li>
        ))}
      </ul>
    </section>
  );
}

function dueText({ standing, option }: DueData): string {
  if (standing.state === "taken")
    return `${option ?? "the fingering taken"} to be looked at again after ${standing.practised} practice ${standing.practised === 1 ? "day" : "days"}`;
  const { daysLeft, decideOn } = standing;
  if (daysLeft < 0) return `was to be decided by ${format(parseISO(decideOn), "d MMMM")}`;
  return daysLeft === 0 ? "to be decided today" : `to be decided in ${daysLeft} ${daysLeft === 1 ? "day" : "days"}`;
}
