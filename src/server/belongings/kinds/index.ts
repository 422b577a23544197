import type { Belonging } from "../belonging";
import { ofFilms } from "./film";
import { ofInstruments } from "./instrument";
import { ofMeasurements } from "./measurement";
import { ofNotes } from "./note";
import { ofOptions } from "./option";
import { ofPassages } from "./passage";
import { ofPieces } from "./piece";
import { ofPlayers } from "./player";
import { ofRecitals } from "./recital";

/** Every kind of thing that can be given another title, taken away and had back. */
export const BELONGINGS = {
  player: ofPlayers,
  piece: ofPieces,
  passage: ofPassages,
  option: ofOptions,
  recital: ofRecitals,
  instrument: ofInstruments,
  measurement: ofMeasurements,
  film: ofFilms,
  note: ofNotes,
} satisfies Record<string, Belonging>;

export type BelongingKind = keyof typeof BELONGINGS;

export const BELONGING_KINDS = Object.keys(BELONGINGS) as [BelongingKind, ...BelongingKind[]];
