"use client";

import { useRouter } from "next/navigation";
import { turnTo } from "@/server/actions";
import type { PlayerData } from "@/server/types";
import { BelongingMenu } from "../belongings/belonging-menu";
import { ask } from "../keeping/ask";
import { Button, buttonLook } from "../ui/button";
import { DemoAway } from "./demo-away";

interface Props {
  readonly all: readonly PlayerData[];
  /** Whose turn it is. */
  readonly now: string | null;
  /** The demo's player, where they were taken away. */
  readonly demoAway: string | null;
}

/** Everyone who plays here. */
export function PlayersList({ all, now, demoAway }: Props) {
  const router = useRouter();
  const turn = async (playerId: string): Promise<void> => {
    if (await ask("players", () => turnTo({ playerId }))) router.push("/");
  };
  return (
    <>
      <ul>
        {all.map(({ id, name, isDemo, pieces }) => (
          <li key={id} className="flex items-center gap-4 border-b border-hairline py-1.5">
            <span className="flex-1">
              <span className="font-serif text-xl">{name}</span>
              <span className="ml-3 text-sm text-soft">
                {pieces === 0 ? "no pieces yet" : `${pieces} ${pieces === 1 ? "piece" : "pieces"}`}
                {isDemo && ", made up for the demo"}
              </span>
            </span>
            <a
              href={`/players/${id}/archive`}
              download
              aria-label={`Archive of ${name}`}
              className={buttonLook("quiet")}
            >
              Archive
            </a>
            {id === now ? (
              <span className="px-4 text-sm text-velvet">Plays now</span>
            ) : (
              <Button aria-label={`Play as ${name}`} onClick={() => void turn(id)}>
                Play as
              </Button>
            )}
            <BelongingMenu of={{ kind: "player", id, title: name, called: name }} />
          </li>
        ))}
      </ul>
      {demoAway && <DemoAway id={demoAway} />}
    </>
  );
}
