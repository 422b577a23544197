import type { Keeping } from "./outbox";

const WORDS: Record<Keeping, string> = {
  kept: "Kept",
  keeping: "Keeping…",
  waiting: "Not kept yet: the server does not answer, trying again",
};

/** Whether what the page shows is in the database. */
export function KeepingState({ keeping }: { keeping: Keeping }) {
  return (
    <span role="status" className={`text-sm ${keeping === "waiting" ? "text-vermilion" : "text-soft"}`}>
      {WORDS[keeping]}
    </span>
  );
}
