import { studyOfKeys } from "../../../tests/support/studies";
import { expectedOf } from "./expected";
import { nextSnip, onsetsIn, snipAt, snipOf, type SnipInHand } from "./snip";

const length = ({ now }: SnipInHand): number => now.to - now.from + 1;

describe("a snip", () => {
  it("has two to ten notes about what was chosen, inside the passage", () => {
    expect(snipAt({ from: 5, to: 5 }, 20)!.now).toEqual({ from: 4, to: 5 });
    expect(snipAt({ from: 19, to: 19 }, 20)!.now).toEqual({ from: 18, to: 19 });
    expect(snipAt({ from: 2, to: 16 }, 20)!.now).toEqual({ from: 4, to: 13 });
    expect(snipAt({ from: 0, to: 0 }, 1)).toBeNull();
  });

  it("is shortened by a note at a time about the place that fails, down to two, then grown to all of it", () => {
    let snip = snipAt({ from: 4, to: 11 }, 20)!;
    const lengths = [length(snip)];
    for (let i = 0; i < 8; i++) {
      snip = nextSnip(snip, false, 6);
      lengths.push(length(snip));
      expect(snip.now.from).toBeLessThanOrEqual(6);
      expect(snip.now.to).toBeGreaterThanOrEqual(6);
    }
    expect(lengths).toEqual([8, 7, 6, 5, 4, 3, 2, 2, 2]);
    for (let i = 0; i < 8; i++) snip = nextSnip(snip, true);
    expect(snip.now).toEqual({ from: 4, to: 11 });
  });

  it("is played by its own onsets, counted anew", () => {
    const onsets = expectedOf(studyOfKeys([60, 62, 64, 65, 67]));
    const part = onsetsIn(onsets, snipOf(onsets, { from: 1, to: 3 }));
    expect(part.map(({ index, notes }) => [index, notes[0]!.key])).toEqual([
      [0, 62],
      [1, 64],
      [2, 65],
    ]);
    expect(part[0]!.at).toBe(0);
    expect(onsetsIn(onsets, null)).toBe(onsets);
    expect(() => snipOf(onsets, { from: 3, to: 9 })).toThrow(RangeError);
  });
});
