import { child, childrenOf, textOf } from "../xml/tree";
import type { Part } from "./score";

/**
 * How a bar is counted, in quarter notes, by the time signature in force there: beats of the lower figure, and in three
 * eighths each where eighths or sixteenths go in threes. Four quarters where none is written.
 * @param barIndex of the bar, 1 for the first
 */
export function meterOf({ bars }: Part, barIndex: number): { readonly bar: number; readonly beat: number } {
  let [count, unit] = [4, 4];
  for (const { element } of bars.slice(0, barIndex))
    for (const attributes of childrenOf(element, "attributes")) {
      const time = child(attributes, "time");
      const [beats, type] = time ? [Number(textOf(time, "beats")), Number(textOf(time, "beat-type"))] : [NaN, NaN];
      if (beats > 0 && type > 0) [count, unit] = [beats, type];
    }
  const isInThrees = unit >= 8 && count % 3 === 0;
  return { bar: (count * 4) / unit, beat: ((isInThrees ? 3 : 1) * 4) / unit };
}
