import { flipLabels, flipSentence } from "./tempo-chart";

const curves = (...starts: number[]) => starts.map((strain) => ({ strain: [strain, strain], causes: {} }));

describe("strain against tempo in words", () => {
  it("names every tempo at which the order flips", () => {
    const flips = [
      { tempo: 84, before: [1, 0], after: [0, 1] },
      { tempo: 120, before: [0, 1], after: [1, 0] },
    ];
    expect(flipSentence(["A", "B"], flips, [60, 140], curves(2, 1))).toBe(
      "Easiest first: below ♩ = 84 B, A; from ♩ = 84 on A, B; from ♩ = 120 on B, A.",
    );
  });

  it("says when only the ones behind change places, and when nothing does", () => {
    const behind = [{ tempo: 90, before: [0, 1, 2], after: [0, 2, 1] }];
    expect(flipSentence(["A", "B", "C"], behind, [60, 140], curves(1, 2, 3))).toContain(
      "from ♩ = 90 on A, C, B (A still least)",
    );
    expect(flipSentence(["A", "B"], [], [60, 140], curves(2, 1))).toBe(
      "B strains least at every tempo from 60 to 140; the order never changes.",
    );
  });
});

it("puts the tempi of flips close by into one label", () => {
  const flips = [71, 72, 110].map((tempo) => ({ tempo, before: [0, 1], after: [1, 0] }));
  expect(flipLabels(flips, [40, 140])).toEqual(["71, 72", "", "110"]);
});
