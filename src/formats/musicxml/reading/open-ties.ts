import { add, type Beats } from "@/core/time/beats";
import { remark, type FileIssue } from "../../issue";
import type { Bar, NoteHead } from "../score";

/**
 * Ties that begin and are nowhere said to end: where the same key of the same voice and staff follows at once, they end
 * there, with a remark.
 * @param part id, for the remarks
 */
export function openTiesJoined(
  bars: readonly Bar[],
  part: string,
): { readonly bars: readonly Bar[]; readonly issues: readonly FileIssue[] } {
  const issues: FileIssue[] = [];
  const open = new Set<string>();
  const joined = bars.map((bar) => {
    let changed = false;
    // Heads of one voice stand in the order of their onsets.
    const heads = bar.heads.map((head): NoteHead => {
      const isOpen = open.delete(keyOf(head, head.onset));
      const stops = head.tieStop || (isOpen && head.grace === 0);
      if (head.tieStart && head.grace === 0) open.add(keyOf(head, add(head.onset, head.duration)));
      if (stops === head.tieStop) return head;
      changed = true;
      issues.push(
        remark("open-tie", "A tie is not said to end; it is taken as ending on the same note that follows.", {
          part,
          bar: bar.number,
        }),
      );
      return { ...head, tieStop: true };
    });
    return changed ? { ...bar, heads } : bar;
  });
  return { bars: joined, issues };
}

function keyOf({ pitch, staff, voice }: NoteHead, at: Beats): string {
  return `${pitch} ${staff} ${voice} ${at}`;
}
