import type { Meant } from "./moves";
import type { Places } from "./places";
import { EQUAL, JUMPS, meantBy, type Reached, type Step } from "./reached";

/** The places of what was reached that lie on a cheapest way. */
type Layer = ReadonlyMap<Reached, Places>;

/** Walks every cheapest way back from its end: the first one is told, and where others differ is doubtful. */
export function readBack(
  last: readonly Reached[],
  keys: number,
): { readonly meant: readonly Meant[]; readonly doubtful: readonly number[] } {
  const meant = new Array<Meant>(keys);
  const doubtful: number[] = [];
  const ends = last.filter(({ cost }) => cost <= last[0]!.cost + EQUAL);
  let layer: Layer = new Map(ends.map((reached) => [reached, reached.places]));
  let told = { reached: ends[0]!, at: ends[0]!.places.first };
  for (let j = keys - 1; j >= 0; j--) {
    const step = told.reached.by.find(({ places }) => places.has(told.at))!;
    meant[j] = meantBy(step, told.at);
    const before = layerBefore(layer, meant[j]!);
    if (before.isDoubtful) doubtful.push(j);
    layer = before.layer;
    told = { reached: step.from, at: step.advance === JUMPS ? step.from.places.first : told.at - step.advance };
  }
  return { meant, doubtful: doubtful.reverse() };
}

/** Where the ways come from one key before, and whether one of them reads the key otherwise than is told. */
function layerBefore(layer: Layer, told: Meant): { readonly layer: Layer; readonly isDoubtful: boolean } {
  const before = new Map<Reached, Places>();
  let isDoubtful = false;
  for (const [reached, on] of layer)
    for (const step of reached.by) {
      const places = on.within(step.places);
      if (places.size === 0) continue;
      isDoubtful ||= isOtherwise(step, places, told);
      const from = step.advance === JUMPS ? step.from.places : places.moved(-step.advance);
      before.set(step.from, before.get(step.from)?.with(from) ?? from);
    }
  return { layer: before, isDoubtful };
}

function isOtherwise(step: Step, places: Places, told: Meant): boolean {
  const { onset, note } = meantBy(step, places.first);
  return onset !== told.onset || note !== told.note || (onset >= 0 && places.size > 1);
}
