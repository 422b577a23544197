"use client";

import { playPart } from "@/server/actions";
import type { PieceData } from "@/server/types";
import { useAsk } from "../keeping/ask";
import { INPUT_LOOK } from "../ui/field";
import { toast } from "sonner";

/** Which part of the file is played; settled once there are passages of it. */
export function PartChoice({ piece }: { piece: PieceData }) {
  const { busy, ask } = useAsk(`part of ${piece.id}`);
  const isSettled = piece.passages.length > 0;
  const choose = async (partId: string): Promise<void> => {
    const answer = await ask(() => playPart({ pieceId: piece.id, partId }));
    if (!answer.ok) toast.error(answer.message);
  };
  return (
    <label className="mt-2 flex flex-wrap items-center gap-2 text-sm">
      Part played
      <select
        className={INPUT_LOOK}
        value={piece.partId}
        disabled={busy || isSettled}
        onChange={(event) => void choose(event.target.value)}
      >
        {piece.parts.map(({ id, name }) => (
          <option key={id} value={id}>
            {name && name !== id ? `${name} (${id})` : id}
          </option>
        ))}
      </select>
      {isSettled && <span className="text-soft">It stays, for passages speak of its notes.</span>}
    </label>
  );
}
