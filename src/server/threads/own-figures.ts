import { causeById } from "@/core/fingering/cost/causes";
import { bestFingerings, judge } from "@/core/fingering/study/study";
import { stepsOf } from "@/core/fingering/study/steps";
import type { Fingering } from "@/core/fingering/study/fingering";
import { studyOf, type StudyData } from "@/core/fingering/study/study-data";
import { ownAfter, USUAL_FIGURES, type OwnFigures } from "@/core/hand/own";
import { heardOf } from "@/core/trials/heard";
import { ownCauses, type CauseProposed, type OnsetCauses } from "@/core/trials/own/own-causes";
import { ownMovement, waysOf } from "@/core/trials/own/own-movement";
import type { Take } from "@/core/trials/take";

/** The player's own takes of one version of one fingering. */
export interface TakesOfFingering {
  readonly title: string;
  readonly study: StudyData;
  readonly digits: Fingering;
  /** Faults by note, all takes together, and how many takes there are. */
  readonly astray: Readonly<Record<string, number>>;
  readonly count: number;
  /** The newest of them, for how long the hand's ways took. */
  readonly newest: readonly Take[];
}

export interface OwnAsked {
  readonly groups: readonly TakesOfFingering[];
}

/** What a player's takes would change, and in which passages. */
export interface OwnProposed {
  readonly takes: number;
  readonly causes: readonly (CauseProposed & { readonly label: string })[];
  /** Times the usual; null where the takes do not tell. */
  readonly movement: number | null;
  readonly ways: number;
  /** Of the fingering that strains least, before and after: how many of the notes would have another finger. */
  readonly effects: readonly { readonly title: string; readonly changed: number; readonly notes: number }[];
}

/** What a player's takes would have causes weigh and ways take, and what that would change in their passages. */
export function ownProposal({ groups }: OwnAsked): OwnProposed {
  const now = groups[0]?.study.own ?? USUAL_FIGURES;
  const takes = groups.reduce((sum, { count }) => sum + count, 0);
  const causes = ownCauses(groups.flatMap(onsetsOf), takes, now.causes);
  const ways = groups.flatMap(({ study, digits, newest }) =>
    newest.flatMap((take) => {
      const at = studyOf({ ...study, manner: { ...study.manner, tempo: take.tempo } });
      return waysOf(heardOf(at, digits, take), digits);
    }),
  );
  const movement = ownMovement(ways, now.movement);
  const after = ownAfter(now, Object.fromEntries(causes.map(({ cause, times }) => [cause, times])), movement);
  const isSame = causes.length === 0 && movement === null;
  return {
    takes,
    causes: causes.map((cause) => ({ ...cause, label: causeById(cause.cause).label })),
    movement,
    ways: ways.length,
    effects: isSame ? [] : byPassage(groups).map((group) => effectOn(group, after)),
  };
}

function onsetsOf({ study: given, digits, astray, count }: TakesOfFingering): readonly OnsetCauses[] {
  const study = studyOf(given);
  const { notes: judged } = judge(study, digits);
  const times = given.own?.causes ?? {};
  return stepsOf(study).map(({ notes }) => {
    const causes: Record<string, number> = {};
    for (const id of notes)
      for (const { cause, strain } of judged[id]?.causes ?? [])
        causes[cause] = (causes[cause] ?? 0) + strain / (times[cause] ?? 1);
    return { causes, faults: notes.reduce((sum, id) => sum + (astray[id] ?? 0), 0), takes: count };
  });
}

/** One group a passage: its music is the same in all of them. */
function byPassage(groups: readonly TakesOfFingering[]): readonly TakesOfFingering[] {
  return [...new Map(groups.map((group) => [group.title, group])).values()];
}

function effectOn({ title, study }: TakesOfFingering, after: OwnFigures): OwnProposed["effects"][number] {
  const [before] = bestFingerings(studyOf(study), {}, 1);
  const [best] = bestFingerings(studyOf({ ...study, own: after }), {}, 1);
  const notes = Object.keys(before ?? {});
  const changed = notes.filter((id) => best?.[id as keyof Fingering] !== before?.[id as keyof Fingering]).length;
  return { title, changed, notes: notes.length };
}
