import { HAND_SIZES } from "../../quality/hand-sizes";
import { bySize } from "../../quality/solve";

describe("small, middle and large hands", () => {
  it.each(HAND_SIZES.map((given) => [given.name, given] as const))(
    "finger as a teacher would expect: %s",
    (_, given) => {
      const found = bySize(given);
      expect([...found, given.holds(...found)]).toEqual([...found, true]);
    },
  );
});
