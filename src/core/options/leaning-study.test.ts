import { note, passage } from "../../../tests/support/passages";
import { fingered, studyOfKeys, studyOn } from "../../../tests/support/studies";
import { seeded } from "../../../tests/support/seeded";
import { drain } from "../drain";
import { figuresOf } from "../figures/find";
import { judge, latticesOf, notesAsked, solving, type Study } from "../fingering/study/study";
import type { Fingering } from "../fingering/study/fingering";
import { bestLeaning, leaningConditions, untied } from "./leaning-study";
import { balanced } from "./leanings/balanced";
import { leastStrain } from "./leanings/least-strain";

const total = (study: Study, fingering: Fingering): number =>
  judge(study, fingering).strain * judge(study, fingering).onsets;

/** Notes of returns that have other fingers than the figure. */
function parted(study: Study, fingering: Fingering): number {
  const { settling = [] } = untied(study, {}, figuresOf(study));
  return settling.reduce(
    (sum, { note: own, returns }) => sum + returns.filter((r) => fingering[r.note] !== fingering[own]).length,
    0,
  );
}

describe("a fingering with nothing kept for the memory", () => {
  it("is, of those that strain alike, the one whose octaves are alike", () => {
    const scale = [60, 62, 64, 65, 67, 69, 71, 72, 74, 76, 77, 79, 81, 83, 84];
    const study = studyOfKeys(scale);
    const [{ fingering, exact }] = bestLeaning(study, leastStrain, {}, 1) as [ReturnType<typeof bestLeaning>[number]];
    expect(fingering).toEqual(fingered(study, "123123412312345"));
    expect(exact).toBe(true);
    expect(total(study, fingering)).toBeCloseTo(total(study, fingered(study, "123412312312345")), 6);
  });

  it("never strains more than the least for that, and parts no more notes of figures", () => {
    const random = seeded(21);
    for (let trial = 0; trial < 20; trial++) {
      const figure = Array.from({ length: 5 }, () => random.whole(57, 72));
      const keys = [...figure, random.whole(57, 72), ...figure.map((key) => key + 12), random.whole(60, 80), ...figure];
      const study = studyOn(passage(keys.map((key, i) => note(`n${i}`, key, `${i}/4`, "1/4"))));
      const [plain] = drain(solving(latticesOf(study), { memories: [] }, 1));
      const [settled] = bestLeaning(study, leastStrain, {}, 1);
      expect(total(study, settled!.fingering)).toBeLessThan(total(study, plain!.fingering) + 0.03);
      expect(parted(study, settled!.fingering)).toBeLessThanOrEqual(parted(study, plain!.fingering));
    }
  });

  it("comes first among several, which are the next best as if nothing returned", () => {
    const study = studyOfKeys([60, 62, 64, 65, 67, 69, 71, 72, 74, 76, 77, 79, 81, 83, 84]);
    const conditions = leaningConditions(study, balanced, {}, "none");
    const several = drain(solving(latticesOf(study), conditions, 6));
    expect(several[0]!.fingering).toEqual(bestLeaning(study, leastStrain, {}, 1)[0]!.fingering);
    const said = several.map(({ fingering }) =>
      notesAsked(study)
        .map((id) => fingering[id])
        .join(""),
    );
    expect(new Set(said).size).toBe(6);
    const plain = drain(solving(latticesOf(study), { memories: [] }, 6));
    several.forEach(({ fingering }, i) =>
      expect(total(study, fingering)).toBeCloseTo(total(study, plain[i]!.fingering), 1),
    );
  });
});
