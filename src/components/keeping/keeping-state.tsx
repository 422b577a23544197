import type { Keeping } from "./sending";

const WORDS: Record<Keeping, string> = {
  kept: "Kept",
  keeping: "Keeping…",
  waiting: "Not kept yet: the server does not answer, trying again",
  refused: "Refused: shown is what is kept",
};

/** Whether what the page shows is in the database. */
export function KeepingState({ keeping }: { keeping: Keeping }) {
  const isTrouble = keeping === "waiting" || keeping === "refused";
  return (
    <span role="status" className={`text-sm ${isTrouble ? "text-vermilion" : "text-soft"}`}>
      {WORDS[keeping]}
    </span>
  );
}
