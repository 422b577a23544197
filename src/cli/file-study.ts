import { notesAsked, type Study } from "@/core/fingering/study/study";
import { studyOf } from "@/core/fingering/study/study-data";
import type { Join } from "@/core/fingering/explain/positions";
import type { Finger, Side } from "@/core/hand/finger";
import { inOrder, type Manner, type Passage } from "@/core/passage/passage";
import { FULL_SIZE } from "@/core/keyboard/instrument";
import type { Note } from "@/core/passage/note";
import { remarksOn, wording } from "@/formats/issue";
import { readScore } from "@/formats/musicxml/reading/open";
import { partById, partRemarks, partsToChoose, pianoPart } from "@/formats/musicxml/parts";
import { passageFrom } from "@/formats/musicxml/passage";
import type { Part, Score } from "@/formats/musicxml/score";
import { tempoFound, tempoSource } from "@/formats/musicxml/reading/tempo-found";
import { bytesOf } from "./input";
import { notesNamed, type Wishes } from "./wishes";

/** A file before the hands wished for, with what was taken of it. */
export interface Opened {
  readonly study: Study;
  readonly score: Score;
  readonly part: Part;
  /** Where the tempo of the study comes from, in words. */
  readonly tempoFrom: string;
  /** What the reader has to say, in sentences. */
  readonly remarks: readonly string[];
}

/** Opens a file; a sentence where it cannot be read, or a wish names what it does not have. */
export function openedFile(file: string, wishes: Wishes): Opened | string {
  const bytes = bytesOf(file);
  if (typeof bytes === "string") return bytes;
  const read = readScore(bytes);
  if (!read.ok) return read.issues.map(wording).join(" ");
  const score = read.value;
  const part = wishes.part === undefined ? pianoPart(score) : partById(score, wishes.part);
  if (part === null)
    return `--part ${wishes.part}: the file has no such part; it has ${partsToChoose(score)
      .map((p) => p.id)
      .join(", ")}.`;
  const bars = barsOf(part, wishes.bars);
  if (typeof bars === "string") return bars;
  const written = tempoFound(score, part, bars[0]);
  const study = studyOf({
    passage: { ...passageFrom(part, bars[0], bars[1], wishes.hand), ...tuneOf(wishes), taken: wishes.give },
    hands: {
      right: { measured: { rulerSpan: wishes["span-right"] }, resting: restingOf(wishes, "right") },
      left: { measured: { rulerSpan: wishes["span-left"] }, resting: restingOf(wishes, "left") },
    },
    octaveWidth: FULL_SIZE.octaveWidth,
    manner: mannerOf(wishes, written.tempo),
  });
  const problem = strangersIn(study, wishes);
  if (problem) return problem;
  return {
    study,
    score,
    part,
    tempoFrom: wishes.tempo === undefined ? tempoSource(written) : "as asked",
    remarks: [...partRemarks(score, part), ...remarksOn(read.issues, part.members)],
  };
}

/** Places of the first and last bar asked for; a sentence where the part has no such bars. */
function barsOf({ bars }: Part, asked: Wishes["bars"]): readonly [number, number] | string {
  if (asked === undefined) return bars.length === 0 ? "The part holds no bars." : [1, bars.length];
  const [from, to] = asked;
  const first = bars.find((bar) => bar.number === from);
  const last = bars.findLast((bar) => bar.number === to);
  if (first && last && last.index >= first.index) return [first.index, last.index];
  return `--bars ${from}-${to}: the part has bars ${bars[0]?.number} to ${bars.at(-1)?.number}.`;
}

/** What wishes name that the music does not have, in a sentence; null where all is there. */
function strangersIn(study: Study, wishes: Wishes): string | null {
  const asked = new Set<string>(notesAsked(study));
  const stranger = notesNamed(wishes).find(({ note }) => !asked.has(note));
  if (stranger) return `--${stranger.option} ${stranger.note}: the hands asked for play no such note.`;
  const { tune } = wishes;
  const voices = new Set(study.passage.notes.map((note) => note.voice));
  if (tune === undefined || tune === "top" || voices.has(tune)) return null;
  return `--tune ${tune}: there is no such voice; there ${voices.size === 1 ? "is" : "are"} ${[...voices].join(", ")}, and top for the highest notes.`;
}

function mannerOf({ tempo, touch, pedal, arpeggios }: Wishes, written: number): Manner {
  return { tempo: tempo ?? written, touch, pedal, arpeggios };
}

function restingOf({ rest }: Wishes, side: Side): readonly Finger[] {
  return rest.filter((r) => r.side === side).map((r) => r.finger);
}

function tuneOf({ tune }: Wishes): Pick<Passage, "tune"> {
  if (tune === undefined) return {};
  return { tune: tune === "top" ? { top: true } : { voice: tune } };
}

/** A join with its figures rounded; null for the first position. */
export function joinEntry(join: Join | null): object | null {
  return join && { kind: join.kind, mm: rounded(join.mm), ms: rounded(join.ms) };
}

/** The notes of the hands asked for, by onset, grace notes first, and then pitch. */
export function notesInOrder(study: Study): readonly Note[] {
  const asked = new Set(notesAsked(study));
  return inOrder(study.passage.notes.filter((note) => asked.has(note.id)));
}

export function rounded(value: number): number {
  return Math.round(value * 100) / 100;
}
