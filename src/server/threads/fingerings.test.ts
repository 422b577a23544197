import { fingered, MANNER, studyOfKeys } from "../../../tests/support/studies";
import type { StudyData } from "@/core/fingering/study/study-data";
import { USUAL_WISHES } from "@/core/options/asked/wishes";
import type { LeaningId } from "@/core/options/leanings";
import { followed } from "./fingerings";

const given = studyOfKeys([60, 62, 64, 65, 67, 69, 71, 72]);
const hand = { measured: { rulerSpan: 205 }, resting: [] };
const study: StudyData = {
  passage: given.passage,
  hands: { right: hand, left: hand },
  octaveWidth: 164.5,
  manner: MANNER,
};

describe("options when what is asked has changed", () => {
  const option = (id: string, leaning: LeaningId, digits: string) => ({
    id,
    leaning,
    origin: "solved" as const,
    pins: {},
    ruledOut: {},
    digits: fingered(given, digits),
  });

  it("the first of a leaning is worked out anew; others, and what is found by asking otherwise, keep their digits", () => {
    const options = [
      option("A", "balanced", "12312345"),
      option("B", "balanced", "12341234"),
      option("C", "otherwise", "12341234"),
      option("D", "strong-on-tune", "12341234"),
    ];
    const found = followed({ study, wishes: USUAL_WISHES, options, after: "asked", freed: [] });
    expect(Object.keys(found).toSorted()).toEqual(["A", "D"]);
    expect(found.A).toEqual(fingered(given, "12312345"));
  });
});
