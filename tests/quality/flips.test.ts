import { drain } from "@/core/drain";
import { sweeping } from "@/core/fingering/explain/sweep";
import { TEMPO_FLIPS } from "../../quality/flips";
import { slowAndFast } from "../../quality/solve";

describe("what is best at speed", () => {
  it.each(TEMPO_FLIPS.map((flip) => [flip.name, flip] as const))("flips once, as a pianist would: %s", (_, flip) => {
    const { slow, fast, study, fingerings } = slowAndFast(flip);
    expect([slow, fast, flip.holds(slow, fast)]).toEqual([slow, fast, true]);
    const { flips } = drain(sweeping(study, fingerings, 50, 160));
    expect(flips).toHaveLength(1);
  });
});
