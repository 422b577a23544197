import { retitle, takeAway } from "@/server/actions";
import type { GoneData } from "@/server/types";
import { ask } from "../keeping/ask";
import { noticeWithUndo } from "../keeping/notice-with-undo";
import { newId } from "../new-id";

/** Something of a player's, as it is named on the page. */
export interface Named {
  readonly kind: GoneData["kind"];
  readonly id: string;
  /** Its own title; null where it goes by something else. */
  readonly title: string | null;
  /** What it is called in a notice: its title, or what it goes by. */
  readonly called: string;
}

const PLACE = "belongings";

/** Gives something another title; undone from the notice. @returns whether it was kept */
export async function renameTo(of: Named, title: string | null): Promise<boolean> {
  const set = (next: string | null) => {
    const asked = { request: newId(), kind: of.kind, id: of.id, title: next };
    return ask(PLACE, () => retitle(asked));
  };
  if (!(await set(title))) return false;
  const said = title === null ? `${of.called} goes by its letter or date again.` : `${of.called} is “${title}” now.`;
  noticeWithUndo(said, () => void set(of.title));
  return true;
}

/** Takes something away; brought back from the notice, or from the list of what was taken away. @returns whether it went */
export async function takeAwayWithUndo(of: Named): Promise<boolean> {
  const gone = await setGone(of, true);
  if (gone) noticeWithUndo(`${of.called} was taken away.`, () => void setGone(of, false));
  return gone;
}

/** Brings something back. @returns whether it is there */
export async function bringBack(of: Pick<Named, "kind" | "id">): Promise<boolean> {
  return setGone(of, false);
}

async function setGone({ kind, id }: Pick<Named, "kind" | "id">, gone: boolean): Promise<boolean> {
  const asked = { request: newId(), kind, id, gone };
  return (await ask(PLACE, () => takeAway(asked))) !== null;
}
