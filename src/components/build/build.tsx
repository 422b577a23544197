"use client";

import { Tabs } from "radix-ui";
import { parseAsStringLiteral, useQueryState } from "nuqs";
import { useMemo } from "react";
import { conflictsOf } from "@/core/options/asked/conflicts";
import type { Position } from "@/core/fingering/explain/positions";
import type { Study } from "@/core/fingering/study/study";
import type { Note, NoteId } from "@/core/passage/note";
import type { OptionData } from "@/server/types";
import { TabList } from "../ui/tab-list";
import { FiguresList } from "./figures-list";
import { PositionsList } from "./positions-list";
import { RulesForm } from "./rules-form";
import { SharingForm } from "./sharing-form";
import type { FiguresSeen } from "./use-figures";
import type { WishesInHand } from "./use-wishes";

const TABS = ["positions", "figures", "hands", "rules"] as const;
const NAMES: Record<(typeof TABS)[number], string> = {
  positions: "Positions",
  figures: "Figures",
  hands: "Hands",
  rules: "Rules",
};

interface Props {
  readonly study: Study;
  readonly option: OptionData;
  readonly positions: readonly Position[];
  readonly figures: FiguresSeen;
  readonly inHand: WishesInHand;
  readonly notes: readonly Note[];
  readonly note: NoteId | null;
  readonly onGo: (note: NoteId) => void;
}

/** How the passage is built, and what is asked of every fingering of it. */
export function Build({ study, option, positions, figures, inHand, notes, note, onGo }: Props) {
  const [tab, setTab] = useQueryState("build", parseAsStringLiteral(TABS).withDefault("positions"));
  const { wishes, marked, taken, setWishes, mark, take } = inHand;
  const { pins, ruledOut } = option;
  const conflicts = useMemo(
    () => conflictsOf(study, { pins, ruledOut, noThumbOnBlack: wishes.noThumbOnBlack }).map((c) => c.words),
    [study, pins, ruledOut, wishes.noThumbOnBlack],
  );
  return (
    <Tabs.Root value={tab} onValueChange={(next) => void setTab(next as (typeof TABS)[number])} className="text-sm">
      <TabList label="How it is built" names={NAMES} marked={conflicts.length > 0 ? ["rules"] : []} />
      <Tabs.Content value="positions" className="pt-2">
        <PositionsList positions={positions} notes={notes} onGo={onGo} />
      </Tabs.Content>
      <Tabs.Content value="figures" className="pt-2">
        <FiguresList
          seen={figures}
          notes={notes}
          fingering={option.digits}
          tying={wishes.tying}
          onTying={(tying) => setWishes({ ...wishes, tying })}
          onGo={onGo}
        />
      </Tabs.Content>
      <Tabs.Content value="hands" className="pt-2">
        <SharingForm
          sharing={wishes.sharing}
          marked={marked}
          note={note}
          taken={taken}
          onSharing={(sharing) => setWishes({ ...wishes, sharing })}
          onMark={mark}
          onTaken={take}
        />
      </Tabs.Content>
      <Tabs.Content value="rules" className="pt-2">
        <RulesForm rules={wishes} conflicts={conflicts} onRules={(rules) => setWishes({ ...wishes, ...rules })} />
      </Tabs.Content>
    </Tabs.Root>
  );
}
