import { USUAL_ALLOWANCES } from "@/core/reach/allowances";
import type { SurveyData } from "@/core/reach/survey";
import { beats } from "@/core/time/beats";
import { note, passage } from "../../tests/support/passages";
import { surveyService } from "./survey-service";

const hand = { measured: { rulerSpan: 200 }, resting: [] };
const DATA: SurveyData = {
  study: {
    passage: passage(
      Array.from({ length: 40 }, (_, i) => note(`n${i}`, 60 + (i % 3), String(i >> 1), "1", {})).map((n, i) =>
        i % 2 ? { ...n, pitch: (n.pitch + 5) as typeof n.pitch } : n,
      ),
      "both",
      2,
    ),
    hands: { right: hand, left: hand },
    octaveWidth: 164.5,
    manner: { tempo: 96, touch: "legato", pedal: false },
  },
  bars: Array.from({ length: 5 }, (_, i) => ({ number: String(i + 1), start: beats(4 * i) })),
  allows: USUAL_ALLOWANCES,
};

/** A clock on which every look costs a stretch. */
function hurriedClock(): () => number {
  let now = 0;
  return () => (now += 100);
}

describe("the survey service", () => {
  it("reports progress bar by bar and answers", async () => {
    const seen: number[] = [];
    const answer = await surveyService(() => Promise.resolve(), hurriedClock()).survey(DATA, ([done, of]) =>
      seen.push(done / of),
    );
    expect(seen).toEqual([0.2, 0.4, 0.6, 0.8, 1]);
    expect(answer.stopped ? null : answer.found.bars.length).toBe(5);
  });

  it("can be stopped, and a newer survey stops the one before", async () => {
    const service = surveyService(() => new Promise((resolve) => setTimeout(resolve, 0)), hurriedClock());
    const first = service.survey(DATA, () => undefined);
    const second = service.survey(DATA, () => undefined);
    expect((await first).stopped).toBe(true);
    expect((await second).stopped).toBe(false);
    const third = service.survey(DATA, () => undefined);
    service.stop();
    expect((await third).stopped).toBe(true);
  });
});
