"use client";

import { putOnProgramme } from "@/server/actions";
import type { PieceData } from "@/server/types";
import { ask } from "../keeping/ask";
import { newId } from "../new-id";
import { INPUT_LOOK } from "../ui/field";

/** On which recital's programme a piece is. */
export function ProgrammeChoice({ piece }: { piece: PieceData }) {
  if (piece.recitals.length === 0) return null;
  const choose = async (recitalId: string): Promise<void> => {
    const asked = { request: newId(), pieceId: piece.id, recitalId: recitalId || null };
    await ask("recitals", () => putOnProgramme(asked));
  };
  return (
    <label className="flex flex-wrap items-center gap-2 text-sm">
      Played at
      <select
        className={`${INPUT_LOOK} max-w-96`}
        value={piece.recitalId ?? ""}
        onChange={(event) => void choose(event.target.value)}
      >
        <option value="">no recital yet</option>
        {piece.recitals.map(({ id, title }) => (
          <option key={id} value={id}>
            {title}
          </option>
        ))}
      </select>
    </label>
  );
}
