import { fingered, studyOfKeys } from "../../../../tests/support/studies";
import { drain } from "../../drain";
import { judge } from "../study/study";
import { sweeping } from "./sweep";

/** A note repeated: one finger is easiest slow, changing fingers fast. */
const REPEATED = studyOfKeys([60, 60, 60, 60, 60, 60, 60, 60]);
const SAME = fingered(REPEATED, "22222222");
const CHANGING = fingered(REPEATED, "32132132");

describe("a tempo sweep", () => {
  it("prices as the passage itself is priced, at every whole tempo", () => {
    const { tempos, curves } = drain(sweeping(REPEATED, [SAME, CHANGING], 59.2, 62.9));
    expect(tempos).toEqual([60, 61, 62]);
    const at61 = judge({ ...REPEATED, manner: { ...REPEATED.manner, tempo: 61 } }, CHANGING);
    expect(curves[1]!.strain[1]).toBeCloseTo(at61.strain, 9);
  });

  it("takes every strain apart into its causes", () => {
    const { curves, tempos } = drain(sweeping(REPEATED, [SAME, CHANGING], 60, 200));
    for (const { strain, causes } of curves) {
      tempos.forEach((_, at) => {
        const sum = Object.values(causes).reduce((all, curve) => all + curve[at]!, 0);
        expect(sum).toBeCloseTo(strain[at]!, 9);
      });
    }
  });

  it("finds the beat per minute at which the order changes", () => {
    const { flips, curves, tempos } = drain(sweeping(REPEATED, [SAME, CHANGING], 40, 240));
    expect(flips).toHaveLength(1);
    const [flip] = flips;
    expect([flip!.before, flip!.after]).toEqual([
      [0, 1],
      [1, 0],
    ]);
    const at = tempos.indexOf(flip!.tempo);
    expect(curves[0]!.strain[at - 1]!).toBeLessThanOrEqual(curves[1]!.strain[at - 1]!);
    expect(curves[0]!.strain[at]!).toBeGreaterThan(curves[1]!.strain[at]!);
  });

  it("says that there is no flip where one fingering is easier throughout, and never flips equals", () => {
    const scale = studyOfKeys([60, 62, 64, 65, 67]);
    const [easy, hard] = [fingered(scale, "12345"), fingered(scale, "54321")];
    expect(drain(sweeping(scale, [hard, easy], 40, 200)).flips).toEqual([]);
    expect(drain(sweeping(scale, [easy, easy], 40, 200)).flips).toEqual([]);
  });

  it("can be stopped between tempi, and refuses a range without one", () => {
    expect([...sweeping(REPEATED, [SAME], 60, 63)]).toEqual([1, 2, 3, 4]);
    expect(() => drain(sweeping(REPEATED, [SAME], 60.2, 60.8))).toThrow("no whole tempo");
  });
});
