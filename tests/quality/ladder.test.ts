import { judge } from "@/core/fingering/study/study";
import { bestOf, studyOfCase } from "../../quality/grade";
import { LADDER, type LadderPassage } from "../../quality/ladder";

function strainOf({ passage }: LadderPassage, tempo?: number): number {
  const study = studyOfCase(tempo ? { ...passage, manner: { ...passage.manner, tempo } } : passage);
  return judge(study, bestOf(study)).strain;
}

describe("the scale of strain", () => {
  it("has twenty rungs", () => {
    expect(LADDER).toHaveLength(20);
  });

  it.each(LADDER.map((each) => [each.passage.name, each] as const))("puts where a pianist would: %s", (_, each) => {
    const strain = strainOf(each);
    if (each.rung === "easy") expect(strain).toBeLessThan(15);
    if (each.rung === "middling") expect(strain).toBeLessThan(40);
    if (each.rung === "hard") expect(strain).toBeGreaterThan(40);
  });

  it("has every middling passage above the easy ones", () => {
    const of = (rung: string) => LADDER.filter((each) => each.rung === rung).map((each) => strainOf(each));
    expect(Math.min(...of("middling"))).toBeGreaterThan(Math.max(...of("easy")));
  });

  it.each(LADDER.map((each) => [each.passage.name, each] as const))("does not fall with the tempo: %s", (_, each) => {
    const [slow, middle, fast] = [60, 112, 200].map((tempo) => strainOf(each, tempo));
    expect(middle!).toBeGreaterThanOrEqual(slow! - 0.01);
    expect(fast!).toBeGreaterThanOrEqual(middle! - 0.01);
  });
});
