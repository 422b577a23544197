import { judge, notesAsked, type CauseJudged, type Study } from "@/core/fingering/study/study";
import { fingered } from "./studies";

/** What one cause finds in a fingered passage, note by note. */
export function findings(study: Study, digits: string, cause: string): { at: number; found: CauseJudged }[] {
  const judged = judge(study, fingered(study, digits));
  return notesAsked(study).flatMap((id, at) =>
    judged.notes[id]!.causes.filter((c) => c.cause === cause).map((found) => ({ at, found })),
  );
}
