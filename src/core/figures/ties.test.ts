import { studyOfKeys } from "../../../tests/support/studies";
import { notesAsked, type Study } from "../fingering/study/study";
import { bestLeaning } from "../options/leaning-study";
import { balanced } from "../options/leanings/balanced";
import { figuresOf } from "./find";
import { memoriesOf } from "./ties";

const C_MAJOR = [0, 2, 4, 5, 7, 9, 11];

/** A figure on one step of C major after another, mirrored about D for the left hand. */
function onSteps(shape: readonly number[], side: "right" | "left" = "right"): Study {
  const keys = [0, 1, 2, 3, 4, 5].flatMap((by) =>
    shape.map((step) => 60 + 12 * Math.floor((step + by) / 7) + C_MAJOR[(step + by) % 7]!),
  );
  return studyOfKeys(side === "right" ? keys : keys.map((key) => 124 - key), side);
}

/** By how many times of a figure notes that answer one another lie apart. */
function apart(study: Study, length: number): Set<number> {
  const notes = notesAsked(study);
  const time = (note: string): number => Math.floor(notes.findIndex((id) => id === note) / length);
  return new Set(
    memoriesOf(study, figuresOf(study), "alike").flatMap(({ note, returns }) =>
      returns.map((again) => (time(again.note) - time(note)) % 2),
    ),
  );
}

function digits(study: Study): string {
  const { fingering } = bestLeaning(study, balanced, {}, 1)[0]!;
  return notesAsked(study)
    .map((id) => fingering[id])
    .join("");
}

describe("what a figure on every step keeps", () => {
  it("is each time as the first, where it ends elsewhere than it begins", () => {
    expect(apart(onSteps([0, 1, 2, 1]), 4)).toEqual(new Set([0, 1]));
  });

  it("is every second time as the one before the last, where it comes back to its first key", () => {
    for (const shape of [
      [0, 1, 2, 0],
      [0, 2, 1, 0],
      [0, 2, 4, 2, 0],
    ])
      expect(apart(onSteps(shape), shape.length)).toEqual(new Set([0]));
  });

  it("has the hand lie over two times at once there, in either hand", () => {
    for (const side of ["right", "left"] as const) {
      const found = digits(onSteps([0, 1, 2, 0], side));
      expect(found.slice(0, 16)).toBe("1231234212312342");
    }
  });
});
