import { studyOfKeys } from "../../../../tests/support/studies";
import { pitch } from "../../keyboard/pitch";
import { expectedOf, type OnsetExpected } from "../expected";
import { AHEAD, musicOf } from "./music";

const bar = [60, 64, 67, [62, 65]];
const onsets = expectedOf(studyOfKeys(Array.from({ length: 3 * AHEAD }, (_, i) => bar[i % bar.length]!)));

describe("what lies ahead in the music", () => {
  it("is the same where the same comes for so many onsets, and nowhere else", () => {
    const { ahead } = musicOf(onsets);
    const keys = (from: number): string =>
      onsets
        .slice(from, from + AHEAD)
        .map(({ notes, index }) => `${notes.map(({ key }) => key).join(" ")}${onsets[index + 1] ? "" : ", the end"}`)
        .join(", ");
    const first = (same: (at: number) => boolean): number => onsets.findIndex((_, at) => same(at));
    expect(onsets.map((_, at) => first((other) => ahead[other] === ahead[at]))).toEqual(
      onsets.map((_, at) => first((other) => keys(other) === keys(at))),
    );
    expect(new Set(Array.from(ahead)).size).toBe(AHEAD + bar.length);
  });

  it("is not the same where it comes in another time", () => {
    const slower = onsets.map((onset, i): OnsetExpected => (i <= AHEAD ? onset : { ...onset, at: onset.at + 0.5 }));
    const { ahead } = musicOf(slower);
    expect(ahead[0]).not.toBe(ahead[4]);
    expect(ahead[AHEAD + 4]).toBe(ahead[AHEAD + 8]);
  });

  it("has every note that asks for a key, once", () => {
    const { asking } = musicOf(onsets);
    const asked = [...new Set(bar.flat())].flatMap((key) =>
      asking.of(pitch(key)).all.flatMap(({ note, places }) => {
        const found: string[] = [];
        places.forEach((place) => found.push(`${place} ${note} ${key}`));
        return found;
      }),
    );
    const wanted = onsets.flatMap(({ notes }, place) => notes.map(({ key }, note) => `${place} ${note} ${key}`));
    expect(asked.sort()).toEqual(wanted.sort());
    expect(asking.of(pitch(61)).all).toEqual([]);
  });
});
