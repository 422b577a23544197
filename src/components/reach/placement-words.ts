import type { PlacementCauses } from "@/core/placement/causes";
import type { Way } from "@/core/placement/ways";

const SHAPES = { natural: "natural fingers", curled: "curled fingers", flat: "flat fingers" } as const;

/** "with flat fingers, leaning". */
export function shapeInWords({ shape, tilt }: Way): string {
  return `with ${SHAPES[shape]}${tilt === "leaning" ? ", leaning" : ""}`;
}

const CAUSES: Readonly<Record<keyof PlacementCauses, string>> = {
  opening: "opened or closed beyond relaxed",
  held: "kept open long",
  load: "opened under load",
  uneven: "tips uneven, in and out",
  raised: "an inner finger raised on black",
  wrist: "wrist bent sideways",
  depth: "keys played deep",
  way: "shape and tilt themselves",
};

/** The causes that there are, largest first. */
export function causesInWords(causes: PlacementCauses): readonly { readonly words: string; readonly strain: number }[] {
  return (Object.keys(CAUSES) as (keyof PlacementCauses)[])
    .map((cause) => ({ words: CAUSES[cause], strain: causes[cause] }))
    .filter(({ strain }) => strain >= 0.05)
    .sort((a, b) => b.strain - a.strain);
}
