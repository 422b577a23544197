import { counted } from "@/core/counted";
import { createHash } from "node:crypto";
import { LRUCache } from "lru-cache";
import type { Note } from "@/core/passage/note";
import type { Hands, Passage } from "@/core/passage/passage";
import type { Beats } from "@/core/time/beats";
import { remarksOn, wording } from "@/formats/issue";
import type { FileIssue } from "@/formats/issue";
import { excerpt } from "@/formats/musicxml/engraving/excerpt";
import { readScore } from "@/formats/musicxml/reading/open";
import { partById, partRemarks, partsToChoose, pianoPart } from "@/formats/musicxml/parts";
import { passageFrom } from "@/formats/musicxml/passage";
import type { Part, Score } from "@/formats/musicxml/score";
import { tempiFound, tempoSource } from "@/formats/musicxml/reading/tempo-found";
import type { Answer } from "../types";

/** What is asked of score files. All of it runs in a thread of its own; see pool.ts. Plain data in, plain data out. */

/** A kept file, and the part of it that is played. */
export interface SourceAsked {
  readonly source: Uint8Array;
  readonly partId: string;
}

/** Scores read last, by their bytes: a piece and its passages are read once. */
const read = new LRUCache<string, { readonly score: Score; readonly issues: readonly FileIssue[] }>({ max: 3 });

/** @throws Error when a kept source has been damaged: it was read when it came, so it can be read now */
export function opened({ source, partId }: SourceAsked): { score: Score; part: Part; issues: readonly FileIssue[] } {
  const key = createHash("sha256").update(source).digest("hex");
  let found = read.get(key);
  if (!found) {
    const answer = readScore(source);
    if (!answer.ok) throw new Error(`A kept score cannot be read: ${answer.issues[0]?.message ?? ""}`);
    found = { score: answer.value, issues: answer.issues };
    read.set(key, found);
  }
  return { ...found, part: partById(found.score, partId) ?? pianoPart(found.score) };
}

export interface FileRead {
  readonly title: string | null;
  readonly partId: string;
  /** What the reader remarked, in sentences. */
  readonly remarks: readonly string[];
}

/** Reads a file that has come; a sentence where it cannot be read. */
export function readFile({ source }: { readonly source: Uint8Array }): Answer<FileRead> {
  const answer = readScore(source);
  if (!answer.ok) return { ok: false, message: answer.issues.map(wording).join(" ") };
  const part = pianoPart(answer.value);
  const remarks = [...partRemarks(answer.value, part), ...remarksOn(answer.issues, part.members)];
  return { ok: true, value: { title: answer.value.title, partId: part.id, remarks } };
}

/** Bars engraved on a piece's page at most; a hard spot is chosen by number beyond them. */
const MOST_ENGRAVED = 64;
/** Bars engraved first. */
const BEGINNING = 6;

export interface PieceMusic {
  readonly staves: number;
  /** From which bar on, by its place, each tempo is in force, and where it is stated; null where it is assumed. */
  readonly tempi: readonly { readonly fromBar: number; readonly tempo: number; readonly source: string | null }[];
  /** Numbers on paper, in order. */
  readonly bars: readonly string[];
  readonly music: string;
  readonly beginning: string;
  readonly remarks: readonly string[];
  /** Parts that may be played, the one that is taken by itself first. */
  readonly parts: readonly { readonly id: string; readonly name: string }[];
  readonly partId: string;
}

/** What a piece's page shows of its music. */
export function pieceMusic(asked: SourceAsked): PieceMusic {
  const { score, part, issues } = opened(asked);
  return {
    staves: part.staves,
    tempi: tempiFound(score, part).map((found) => ({
      fromBar: found.fromBar,
      tempo: found.tempo,
      source: found.from === null ? null : tempoSource(found),
    })),
    bars: part.bars.map((bar) => bar.number),
    music: excerpt(score, part, 1, Math.min(MOST_ENGRAVED, part.bars.length)),
    beginning: excerpt(score, part, 1, Math.min(BEGINNING, part.bars.length)),
    remarks: [...partRemarks(score, part), ...remarksOn(issues, part.members)],
    parts: partsToChoose(score).map(({ id, name }) => ({ id, name })),
    partId: part.id,
  };
}

export interface BarsAsked extends SourceAsked {
  /** By their place in the file. */
  readonly fromBar: number;
  readonly toBar: number;
  readonly hands: Hands;
}

export interface PassageMusic {
  readonly passage: Passage;
  /** As numbered on paper. */
  readonly bars: { readonly from: string; readonly to: string };
  readonly music: string;
  /** The first bars of a long passage, which are engraved first; null where it is short. */
  readonly beginning: string | null;
}

/** Bars of a long passage that are engraved first. */
const PASSAGE_BEGINNING = 4;

/** The music of a passage; a sentence where its bars are not there. */
export function passageMusic({ fromBar, toBar, hands, ...asked }: BarsAsked): Answer<PassageMusic> {
  const { score, part } = opened(asked);
  if (toBar > part.bars.length)
    return {
      ok: false,
      message: `The piece has ${counted(part.bars.length, "bar")}; bar ${toBar} is not one of them.`,
    };
  const isLong = toBar - fromBar >= 2 * PASSAGE_BEGINNING;
  return {
    ok: true,
    value: {
      passage: passageFrom(part, fromBar, toBar, hands),
      bars: { from: part.bars[fromBar - 1]!.number, to: part.bars[toBar - 1]!.number },
      music: excerpt(score, part, fromBar, toBar),
      beginning: isLong ? excerpt(score, part, fromBar, fromBar + PASSAGE_BEGINNING - 1) : null,
    },
  };
}

export interface WholeMusic {
  readonly passage: Passage;
  readonly bars: readonly { readonly number: string; readonly start: Beats }[];
  readonly tempo: number;
}

/** A whole piece, for its survey. */
export function wholeMusic(asked: SourceAsked): WholeMusic {
  const { score, part } = opened(asked);
  return {
    passage: passageFrom(part, 1, part.bars.length, "both"),
    bars: part.bars.map(({ number, start }) => ({ number, start })),
    tempo: tempiFound(score, part)[0]!.tempo,
  };
}

export interface EditionAsked {
  readonly source: Uint8Array;
  readonly hands: Hands;
}

/** The notes of another file of the same music, for their digits. */
export function editionNotes({ source, hands }: EditionAsked): Answer<readonly Note[]> {
  const answer = readScore(source);
  if (!answer.ok) return { ok: false, message: answer.issues.map(wording).join(" ") };
  const part = pianoPart(answer.value);
  return { ok: true, value: passageFrom(part, 1, part.bars.length, hands).notes };
}
