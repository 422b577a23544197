import { inEveryKey } from "../../quality/every-key";

/** Of a hundred passages of each family, how many at least are as any teacher would ask. */
const AT_LEAST: Readonly<Record<string, number>> = {
  "scales of an octave, from each note": 97,
  "three octaves there and back": 98,
  "chromatic scales, from each key": 100,
  "arpeggios of triads, from each note": 97,
  "arpeggios of sevenths, from each note": 98,
  "arpeggios of other lengths, from white": 98,
  "triads broken in one place": 100,
  "triads rocking on their root": 98,
  "a triad broken from each of its keys": 98,
  "octaves broken along a scale": 98,
  "scales in thirds": 85,
  "scales in sixths": 70,
  "a figure on every step": 96,
  "the same, back to its first key": 90,
  "accompaniments from chord to chord": 98,
  "chords of a cadence": 95,
  "triads along a scale": 98,
};

describe("in every key and both hands", () => {
  const found = [...inEveryKey()];

  it("every family is looked at", () => {
    expect(found.map(({ name }) => name)).toEqual(Object.keys(AT_LEAST));
  });

  it.each(found.map(({ name, good, all }) => [name, good, all] as const))("are as asked: %s", (name, good, all) => {
    expect((100 * good) / all).toBeGreaterThanOrEqual(AT_LEAST[name]!);
  });
});
