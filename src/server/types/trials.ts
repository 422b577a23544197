import type { Fingering } from "@/core/fingering/study/fingering";
import type { FilmMarks } from "@/core/film/film-marks";
import type { Felt, HaltSign } from "@/core/trials/felt";
import type { BarMapped } from "@/core/trials/piece-map";
import type { Snip } from "@/core/trials/snip";
import type { Take, TakeSource } from "@/core/trials/take";
import type { OwnProposed } from "../threads/own-figures";

/** A take as it is listed: what it came to, without its keys. */
export interface TakeData {
  readonly id: string;
  readonly fingeringId: string;
  readonly version: number;
  readonly source: TakeSource;
  /** Quarter notes a minute that were meant, and that were reached; null where that cannot be told. */
  readonly tempo: number;
  readonly tempoReached: number | null;
  /** By what the player calls clean. */
  readonly clean: boolean;
  readonly faults: number;
  /** What of the passage was meant to be played; null for the whole. */
  readonly snip: Snip | null;
  /** What to look at first, in one sentence. */
  readonly first: string;
  /** Amounts by the ids of figures. */
  readonly amounts: Readonly<Record<string, number>>;
  /** ms late at each onset that can be told, by its first note. */
  readonly late: Readonly<Record<string, number>>;
  /** How many faults at each note that has any. */
  readonly astray: Readonly<Record<string, number>>;
  /** Tension felt, 0 to 10, and the bars of it; null where nothing was said. */
  readonly felt: Pick<Felt, "amount" | "bars" | "easy"> | null;
  /** ISO date and time. */
  readonly at: string;
}

/** What holds a player back: the sign at which they stopped, until they lift it. */
export interface HaltData {
  readonly sign: HaltSign;
  /** ISO date and time. */
  readonly since: string;
}

/** A take as it came, and the digits it was played on. */
export interface WholeTake {
  readonly take: Take;
  readonly digits: Fingering;
}

/** Strain, faults and tension felt over the bars of a piece. */
export interface PieceMapData {
  readonly bars: readonly BarMapped[];
  /** Passages with takes, as bars name them. */
  readonly passages: readonly { readonly id: string; readonly title: string; readonly takes: number }[];
}

/** A film that is kept, without its bytes. */
export interface FilmData {
  readonly id: string;
  readonly name: string;
  /** Its media type. */
  readonly type: string;
  readonly marks: FilmMarks;
}

/** What a player's takes would change. */
export type OwnProposedData = OwnProposed;
