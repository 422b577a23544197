import { fingered, studyOfKeys } from "../../../../tests/support/studies";
import { OWN } from "../../physics";
import { judge } from "../../fingering/study/study";
import { bestFingerings } from "../../fingering/study/study";
import { expectedOf } from "../expected";
import { heardOf } from "../heard";
import { ownCauses, type OnsetCauses } from "./own-causes";
import { ownMovement, waysOf } from "./own-movement";

const onset = (causes: OnsetCauses["causes"], faults: number): OnsetCauses => ({ causes, faults, takes: 30 });

describe("what causes weigh with a player", () => {
  it("is more where faults come of it, less where none do, and says nothing from few takes", () => {
    const onsets = [onset({ opening: 20 }, 18), onset({ position: 20 }, 0), onset({ carry: 20 }, 9)];
    const found = ownCauses(onsets, 30);
    const times = Object.fromEntries(found.map(({ cause, times: by }) => [cause, by]));
    expect(times["opening"]).toBeGreaterThan(1.05);
    expect(times["position"]).toBeLessThan(0.95);
    expect(times).not.toHaveProperty("carry");
    expect(ownCauses(onsets, OWN.leastTakes - 1)).toEqual([]);
  });

  it("says nothing where faults come as predicted, or where none came", () => {
    expect(ownCauses([onset({ opening: 30 }, 6), onset({ position: 10 }, 2)], 30)).toEqual([]);
    expect(ownCauses([onset({ opening: 30 }, 0), onset({ position: 10 }, 0)], 30)).toEqual([]);
    expect(ownCauses([], 30)).toEqual([]);
  });

  it("goes by steps, and never out of its range", () => {
    const onsets = [onset({ opening: 1 }, 500), onset({ position: 100 }, 0)];
    let now: Readonly<Record<string, number>> = {};
    for (let i = 0; i < 20; i++)
      for (const { cause, times } of ownCauses(onsets, 30, now)) {
        expect(times / (now[cause] ?? 1)).toBeLessThanOrEqual(OWN.stepRange[1] + 0.01);
        now = { ...now, [cause]: times };
      }
    expect(now["opening"]).toBeLessThanOrEqual(OWN.causeRange[1]);
    expect(now["position"]).toBeGreaterThanOrEqual(OWN.causeRange[0]);
  });

  it("changes what is judged by just that, and which fingering is the best", () => {
    const study = studyOfKeys([60, 62, 64, 65, 67, 69, 71, 72]);
    const digits = fingered(study, "12312345");
    const causeAt = (own: Readonly<Record<string, number>>) =>
      Object.values(judge({ ...study, own }, digits).notes).flatMap(({ causes }) =>
        causes.flatMap(({ cause, strain }) => (cause === "thumb-pass" ? [strain] : [])),
      );
    expect(causeAt({ "thumb-pass": 2 })).toEqual(causeAt({}).map((strain) => 2 * strain));
    const passes = (own: Readonly<Record<string, number>>): number => {
      const [best] = bestFingerings({ ...study, own }, {}, 1);
      return Object.values(judge(study, best!).notes).flatMap(({ causes }) =>
        causes.filter((c) => c.cause === "thumb-pass"),
      ).length;
    };
    expect(passes({ "thumb-pass": 8 })).toBeLessThan(passes({}));
  });
});

describe("how long a hand needs for its way", () => {
  const keys = Array.from({ length: 60 }, (_, i) => (i % 2 === 0 ? 48 : 72));
  const study = studyOfKeys(keys, "right", { tempo: 100, touch: "detached" });
  const digits = fingered(study, keys.map((_, i) => (i % 2 === 0 ? "1" : "5")).join(""));
  const played = (way: number) =>
    waysOf(
      heardOf(study, digits, {
        keys: expectedOf(study).map(({ at, notes }) => {
          const downMs = (at * 60_000) / 100;
          const next = downMs + 60_000 / 100 / 4;
          return { key: notes[0]!.key, downMs, upMs: next - way, velocity: 60 };
        }),
        ...{ pedal: [], source: "midi piano", tempo: 100, click: false, hands: "right", snip: null },
      }),
      digits,
    );

  it("is read from the leaps of takes, and is longer for a hand that takes longer", () => {
    const [quick, slow] = [ownMovement(played(70)), ownMovement(played(140))];
    expect(quick).not.toBeNull();
    expect(slow! / quick!).toBeCloseTo(2, 1);
  });

  it("is not told from few", () => {
    expect(ownMovement(played(70).slice(0, 5))).toBeNull();
  });
});
