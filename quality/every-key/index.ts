import { answered } from "../grade";
import { musicOf } from "../notation";
import { accompaniments } from "./accompaniments";
import { arpeggiosOfOtherLengths, arpeggiosOfSevenths, arpeggiosOfTriads } from "./arpeggios";
import { brokenChords } from "./broken-chords";
import { cadences } from "./cadences";
import type { Family, Made } from "./family";
import { inversions } from "./inversions";
import { rockingTriads } from "./rocking-triads";
import { chromatic, scalesFromEachNote, thereAndBack } from "./scales";
import { motives, motivesThatComeBack } from "./motives";
import { triadsAlong } from "./triads";
import { brokenOctaves, sixths, thirds } from "./two-notes";

const FAMILIES: readonly Family[] = [
  scalesFromEachNote,
  thereAndBack,
  chromatic,
  arpeggiosOfTriads,
  arpeggiosOfSevenths,
  arpeggiosOfOtherLengths,
  brokenChords,
  rockingTriads,
  inversions,
  brokenOctaves,
  thirds,
  sixths,
  motives,
  motivesThatComeBack,
  accompaniments,
  cadences,
  triadsAlong,
];

/** How each family is answered: passages that are as asked, and all, with the digits of those that are not. */
export function* inEveryKey(): Generator<{
  readonly name: string;
  readonly good: number;
  readonly all: number;
  readonly others: readonly string[];
}> {
  for (const { name, passages, isGood } of FAMILIES) {
    const others = passages.flatMap((made) => {
      const fingers = fingersOf(made);
      return isGood(made, fingers)
        ? []
        : [`${musicOf(made.keys)}, ${made.side}: ${fingers.map((f) => f.join("")).join(" ")}`];
    });
    yield { name, good: passages.length - others.length, all: passages.length, others };
  }
}

function fingersOf(made: Made): readonly (readonly number[])[] {
  const { side, keys, tempo } = made;
  const given = {
    kind: "",
    name: "",
    music: musicOf(keys),
    side,
    accepted: [],
    why: "",
    manner: tempo ? { tempo } : {},
    tune: false,
  };
  return answered(given, true).map(({ fingers }) => fingers);
}
