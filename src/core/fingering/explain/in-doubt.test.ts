import { fingered, studyOfKeys } from "../../../../tests/support/studies";
import type { Pins } from "../study/fingering";
import { notesInDoubt } from "./in-doubt";
import { notesAsked } from "../study/study";

/** Places of the notes whose digit is written. */
function written(keys: readonly (number | readonly number[])[], digits: string, pinned: readonly number[] = []) {
  const study = studyOfKeys(keys);
  const asked = notesAsked(study);
  const fingering = fingered(study, digits);
  const pins = Object.fromEntries(pinned.map((i) => [asked[i], fingering[asked[i]!]])) as Pins;
  const found = notesInDoubt(study, fingering, pins);
  return asked.flatMap((id, i) => (found.has(id) ? [i] : []));
}

describe("digits in doubt", () => {
  it("in a scale are the first and the one at each thumb pass", () => {
    expect(written([60, 62, 64, 65, 67, 69, 71, 72], "12312345")).toEqual([0, 3]);
  });

  it("are those that depart from a finger a step", () => {
    expect(written([60, 62, 64, 67], "1235")).toEqual([0]);
    expect(written([60, 62, 64, 67], "1234")).toEqual([0, 3]);
    expect(written([60, 64, 67, 72], "1235")).toEqual([0, 1, 2, 3]);
  });

  it("are those that are pinned", () => {
    expect(written([60, 62, 64, 65, 67], "12345", [2])).toEqual([0, 2]);
  });

  it("of a chord are written once while it is struck again", () => {
    expect(
      written(
        [
          [60, 64, 67],
          [60, 64, 67],
          [60, 65, 69],
        ],
        "135135125",
      ),
    ).toEqual([0, 1, 2, 6, 7, 8]);
  });
});
