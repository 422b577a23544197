"use client";

import { SlidersHorizontal } from "lucide-react";
import { Popover } from "radix-ui";
import type { Side } from "@/core/hand/finger";
import type { SignsShown } from "@/core/motion/marks/signs";
import type { LaneId } from "../score/plan/lane";
import { useStored } from "../keeping/use-stored";
import type { PlayerSettings } from "../playing/use-player";
import { Button } from "../ui/button";
import { Choice } from "../ui/choice";

/** How the passage is looked at and heard; kept in this browser. */
export interface ViewSettings extends PlayerSettings {
  /** 1 for the usual size. */
  readonly zoom: number;
  readonly layout: "wrapped" | "line";
  readonly digits: "all" | "doubt";
  readonly hands: "both" | Side;
  /** Lanes of the hand plan that are not folded. */
  readonly planLanes: readonly LaneId[];
  /** Which signs of the hand plan stand on the score. */
  readonly signs: SignsShown;
}

const USUAL: ViewSettings = {
  zoom: 1,
  layout: "wrapped",
  digits: "all",
  hands: "both",
  planLanes: ["turn", "in-out", "release"],
  signs: "few",
  loop: false,
  countIn: true,
  click: false,
};

const ZOOMS = [0.7, 0.85, 1, 1.2, 1.45, 1.75, 2.1] as const;

export function useViewSettings(): readonly [ViewSettings, (settings: ViewSettings) => void] {
  return useStored("view of the bench", USUAL);
}

/** The next larger or smaller size. */
export function zoomed(zoom: number, by: 1 | -1): number {
  const at = ZOOMS.findIndex((z) => z >= zoom - 1e-6);
  return ZOOMS[Math.min(ZOOMS.length - 1, Math.max(0, at + by))]!;
}

interface Props {
  readonly settings: ViewSettings;
  readonly twoHands: boolean;
  readonly onSettings: (settings: ViewSettings) => void;
}

/** Size, lines, digits and hands of the score. */
export function ViewMenu({ settings, twoHands, onSettings }: Props) {
  const set = <Key extends keyof ViewSettings>(key: Key, value: ViewSettings[Key]): void =>
    onSettings({ ...settings, [key]: value });
  return (
    <Popover.Root>
      <Popover.Trigger asChild>
        <Button>
          <SlidersHorizontal size={16} aria-hidden /> View
        </Button>
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          align="end"
          sideOffset={4}
          className="z-40 flex flex-col gap-2 border border-hairline bg-paper p-4 text-sm"
        >
          <div className="flex items-center gap-2">
            <span>Size</span>
            <Button className="w-11 px-0!" aria-label="Smaller" onClick={() => set("zoom", zoomed(settings.zoom, -1))}>
              −
            </Button>
            <output className="w-14 text-center">{Math.round(settings.zoom * 100)} %</output>
            <Button className="w-11 px-0!" aria-label="Larger" onClick={() => set("zoom", zoomed(settings.zoom, 1))}>
              +
            </Button>
          </div>
          <Choice
            label="Lines"
            value={settings.layout}
            options={[
              ["wrapped", "As they fit"],
              ["line", "One long line"],
            ]}
            onChange={(layout) => set("layout", layout)}
          />
          <Choice
            label="Digits"
            value={settings.digits}
            options={[
              ["all", "All"],
              ["doubt", "Only in doubt"],
            ]}
            onChange={(digits) => set("digits", digits)}
          />
          <Choice
            label="Signs of the hand plan"
            value={settings.signs}
            options={[
              ["few", "A few"],
              ["all", "All"],
              ["own", "My own"],
            ]}
            onChange={(signs) => set("signs", signs)}
          />
          {twoHands && (
            <Choice
              label="Hands"
              value={settings.hands}
              options={[
                ["both", "Both"],
                ["right", "Right"],
                ["left", "Left"],
              ]}
              onChange={(hands) => set("hands", hands)}
            />
          )}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
