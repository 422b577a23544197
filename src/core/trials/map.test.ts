import { fingered, studyOfKeys } from "../../../tests/support/studies";
import { stepsOf } from "../fingering/study/steps";
import { judge } from "../fingering/study/study";
import { mapOf } from "./map";

const study = studyOfKeys(Array.from({ length: 32 }, (_, i) => 60 + (i % 5)));
const judged = judge(study, fingered(study, "12345".repeat(7).slice(0, 32)));
const steps = stepsOf(study).map((step, i) => ({ ...step, bar: i < 16 ? "1" : "2" }));

describe("the map of some takes", () => {
  it("lays faults a take, tension and strain on the same onsets and bars", () => {
    const [first, twentieth] = [steps[0]!.notes[0]!, steps[20]!.notes[0]!];
    const takes = [
      {
        astray: { [twentieth]: 2 },
        late: { [first]: 30 },
        felt: { amount: 8, bars: { from: steps[0]!.bar, to: steps[0]!.bar } },
      },
      { astray: { [first]: 1, [twentieth]: 1 }, late: { [first]: 10 }, felt: null },
    ];
    const { onsets, bars, takes: count } = mapOf(steps, judged, takes);
    expect(count).toBe(2);
    expect(onsets).toHaveLength(steps.length);
    expect(onsets[20]!.faults).toBe(1.5);
    expect(onsets[0]).toMatchObject({ note: first, faults: 0.5, late: 20, tension: 8 });
    expect(bars.map(({ tension }) => tension)).toEqual([8, 0]);
    expect(bars[1]!.faults).toBe(1.5);
  });

  it("knows no tension where nothing was said, and no fault where nothing was played", () => {
    const { onsets, bars } = mapOf(steps, judged, []);
    expect(onsets.every(({ tension, faults }) => tension === null && faults === 0)).toBe(true);
    expect(bars.every(({ tension }) => tension === 0)).toBe(true);
  });
});
