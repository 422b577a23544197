import { drain } from "@/core/drain";
import { sweeping } from "@/core/fingering/explain/sweep";
import { TEMPO_FLIPS } from "../../quality/flips";
import { best, digits, studyOf } from "../../quality/solve";

describe("what is best at speed", () => {
  it.each(TEMPO_FLIPS.map((flip) => [flip.name, flip] as const))("flips: %s", (_, flip) => {
    const { side, keys, manner, slow, fast, tempo } = flip;
    const at = (bpm: number) => {
      const study = studyOf(keys, side, { ...manner, tempo: bpm });
      return { study, fingering: best(study) };
    };
    const [one, other] = [at(50), at(160)];
    expect(digits(one.study, one.fingering)).toBe(slow);
    expect(digits(other.study, other.fingering)).toBe(fast);
    const { flips } = drain(sweeping(one.study, [one.fingering, other.fingering], 50, 160));
    expect(flips.map((f) => f.tempo)).toEqual([tempo]);
  });
});
