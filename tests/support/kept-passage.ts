import { drain } from "@/core/drain";
import { findingFirstOptions } from "@/core/options/first-options";
import { studyOf } from "@/core/fingering/study/study-data";
import type { Hands } from "@/core/passage/passage";
import type { Db } from "@/db/client";
import { addFirstOptions } from "@/server/options/options";
import { addPassage, passageData } from "@/server/passages/passages";
import { importPiece } from "@/server/pieces/pieces";
import { bytes } from "./musicxml";
import { somePlayer } from "./some-player";

interface KeptAsked {
  readonly title?: string;
  readonly fromBar?: number;
  readonly toBar?: number;
  /** Quarter notes a minute. */
  readonly tempo?: number;
  readonly hands?: Hands;
  /** Name of the file that it comes in. */
  readonly file?: string;
  /** Whose it is; some player's where not said. */
  readonly playerId?: string;
}

/** Imports a score, makes a passage of its first bars, keeps the options it opens with. Returns the passage's id. */
export async function keptPassage(
  db: Db,
  text: string,
  {
    title = "Up",
    fromBar = 1,
    toBar = 1,
    hands = "right",
    tempo = 90,
    playerId,
    file = "made-up.musicxml",
  }: KeptAsked = {},
): Promise<string> {
  const id = playerId ?? (await somePlayer(db)).id;
  const piece = await importPiece(db, id, { name: file, bytes: bytes(text) });
  if (!piece.ok) throw new Error(piece.message);
  const asked = { title, fromBar, toBar, hands, tempo, touch: "legato", pedal: false } as const;
  const made = await addPassage(db, { pieceId: piece.value.pieceId, ...asked });
  if (!made.ok) throw new Error(made.message);
  await keepFirstOptions(db, made.value.passageId);
  return made.value.passageId;
}

/** Keeps the options that a passage opens with. */
async function keepFirstOptions(db: Db, passageId: string): Promise<void> {
  const first = drain(findingFirstOptions(studyOf((await passageData(db, passageId))!.study)));
  const options = first.map(({ fingering, ...option }) => ({ ...option, digits: fingering }));
  await addFirstOptions(db, { passageId, options });
}
