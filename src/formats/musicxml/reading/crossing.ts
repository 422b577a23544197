import type { Side } from "@/core/hand/finger";
import { remark, type FileIssue } from "../../issue";
import type { Bar, NoteHead } from "../score";

/** Share of a voice's heads that makes a staff its usual one. A choice: fewer, and the voice belongs to no staff. */
const USUAL = 2 / 3;

/**
 * Chords that stand on one stem over both staves: all their notes in one hand, that of their voice's usual staff, or where
 * the voice has none that of most of their notes. Single notes of a voice that crosses stay with their staff. Both are
 * remarked on.
 * @param part id, for the remarks
 */
export function handsOfCrossingChords(
  bars: readonly Bar[],
  part: string,
): { readonly bars: readonly Bar[]; readonly issues: readonly FileIssue[] } {
  const usual = usualStaves(bars);
  const issues: FileIssue[] = [];
  const handed = bars.map((bar) => {
    const hands = new Map<NoteHead, Side>();
    for (const stem of stemsOf(bar)) {
      const own = usual.get(stem[0]!.voice);
      if (stem.length > 1 && stem.some(({ staff }) => staff !== stem[0]!.staff)) {
        const staff = own ?? mostly(stem) ?? stem[0]!.staff;
        for (const head of stem) if (head.staff !== staff) hands.set(head, staff === 1 ? "right" : "left");
        issues.push(crossingChord(staff, part, bar.number));
      } else if (own !== undefined && stem[0]!.staff !== own) issues.push(crossingNote(part, bar.number));
    }
    if (hands.size === 0) return bar;
    return { ...bar, heads: bar.heads.map((head) => (hands.has(head) ? { ...head, hand: hands.get(head)! } : head)) };
  });
  return { bars: handed, issues };
}

function crossingChord(staff: number, part: string, bar: string): FileIssue {
  const hand = staff === 1 ? "right" : "left";
  return remark(
    `crossing-chord-${hand}`,
    `A chord stands on one stem over both staves; all of it is given to the ${hand} hand.`,
    { part, bar },
  );
}

function crossingNote(part: string, bar: string): FileIssue {
  return remark(
    "crossing-note",
    "A voice crosses to the other staff; its notes are played by the hand of the staff they stand on. On the Bench, notes can be given to the other hand.",
    { part, bar },
  );
}

function stemsOf({ heads }: Bar): readonly (readonly NoteHead[])[] {
  const stems = new Map<number, NoteHead[]>();
  for (const head of heads) {
    const known = stems.get(head.stem);
    if (known) known.push(head);
    else stems.set(head.stem, [head]);
  }
  return [...stems.values()];
}

/** The staff on which nearly all of a voice's heads stand, by voice. */
function usualStaves(bars: readonly Bar[]): ReadonlyMap<string, number> {
  const counts = new Map<string, Map<number, number>>();
  for (const { heads } of bars)
    for (const { voice, staff } of heads) {
      const known = counts.get(voice) ?? new Map<number, number>();
      counts.set(voice, known.set(staff, (known.get(staff) ?? 0) + 1));
    }
  const usual = new Map<string, number>();
  for (const [voice, staves] of counts) {
    const all = [...staves.values()].reduce((sum, n) => sum + n, 0);
    for (const [staff, count] of staves) if (count >= USUAL * all) usual.set(voice, staff);
  }
  return usual;
}

function mostly(stem: readonly NoteHead[]): number | null {
  const upper = stem.filter(({ staff }) => staff === 1).length;
  if (2 * upper === stem.length) return null;
  return 2 * upper > stem.length ? 1 : 2;
}
