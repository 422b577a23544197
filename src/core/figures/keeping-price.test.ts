import { studyOfKeys } from "../../../tests/support/studies";
import { drain } from "../drain";
import { bestFingerings, latticesOf, notesAsked } from "../fingering/study/study";
import { chosenFigure } from "./chosen";
import { keepingPrices } from "./keeping-price";

const FIGURE = [60, 64, 62, 67, 65];

describe("the price of keeping a figure's fingers", () => {
  it("is small where the return lies on the same keys, and more where black keys come under the fingers", () => {
    const study = studyOfKeys([...FIGURE, 71, ...FIGURE, 72, ...FIGURE.map((k) => k + 1)]);
    const figures = [chosenFigure(study, notesAsked(study).slice(0, 5))!];
    const [best] = bestFingerings(study, {}, 1);
    const prices = drain(keepingPrices(study, latticesOf(study), figures, best!));
    expect(prices).toHaveLength(2);
    const [same, moved] = prices;
    expect(same!.keeping - same!.changing).toBeLessThan(0.3 * (moved!.keeping - moved!.changing));
    expect(same!.keeping).toBeGreaterThanOrEqual(same!.changing);
    expect(moved!.apart).toBeGreaterThan(0);
  });
});
