import { HAND_SIZES, SPANS } from "../../quality/hand-sizes";
import { best, digits, studyOf } from "../../quality/solve";

describe("small, middle and large hands", () => {
  it.each(HAND_SIZES.map((given) => [given.name, given] as const))("finger differently: %s", (_, given) => {
    const { side, keys, manner } = given;
    const found = SPANS.map((span) => {
      const study = studyOf(keys, side, manner, span);
      return digits(study, best(study));
    });
    expect(found).toEqual(given.digits);
  });
});
