import { seeded } from "../../../tests/support/seeded";
import { fingered, studyOfKeys } from "../../../tests/support/studies";
import { judge } from "../fingering/study/study";
import { CLOCKWORK } from "../physics";
import { beats, toNumber } from "../time/beats";
import { sumOf } from "../entry/length";
import { chosenDrills, knownOnsets } from "./choice";
import { DRILL_KINDS } from "./drills";
import { counted, countForecast, sayForecast } from "./count";
import { afterTake, clickAt, ladderPlan, NOTCHES, notched } from "./ladder";
import { canBeWritten, written } from "./music";
import { sourcesOf } from "./source";

describe("the ladder", () => {
  it("goes by the figures of the clockwork, up and down again", () => {
    expect(notched(60, 1, "clockwork")).toBe(63);
    expect(notched(63, -1, "clockwork")).toBe(60);
    expect(notched(120, 1, "clockwork")).toBe(126);
    expect(notched(61, 1, "clockwork")).toBe(63);
    expect(notched(100, 1, "five")).toBe(105);
    expect(notched(100, 1, "share")).toBeCloseTo(104);
  });

  it("goes on past both ends of the clockwork with another click, always a little and never back", () => {
    for (const notch of NOTCHES) {
      let tempo = 12;
      for (let i = 0; i < 400 && tempo < 420; i++) {
        const next = notched(tempo, 1, notch);
        expect(next).toBeGreaterThan(tempo);
        expect(next / tempo).toBeLessThan(1.6);
        const { figure, quarters } = clickAt(next);
        expect(figure * quarters).toBeCloseTo(next, 9);
        expect(figure).toBeGreaterThanOrEqual(CLOCKWORK[0]! - 38);
        tempo = next;
      }
      expect(tempo).toBeGreaterThanOrEqual(208);
    }
  });

  it("rises after a take that was clean and easy, and falls after two that were not", () => {
    let ladder = { tempo: 80, misses: 0 };
    ladder = afterTake(ladder, { clean: true, easy: true }, "clockwork");
    expect(ladder).toEqual({ tempo: 84, misses: 0 });
    ladder = afterTake(ladder, { clean: true, easy: false }, "clockwork");
    expect(ladder).toEqual({ tempo: 84, misses: 1 });
    expect(afterTake(ladder, { clean: true, easy: true }, "clockwork").misses).toBe(0);
    expect(afterTake(ladder, { clean: false, easy: true }, "clockwork")).toEqual({ tempo: 80, misses: 0 });
  });

  it("is planned to a day no faster than the player gains, and says what else there is", () => {
    const good = ladderPlan(80, 100, 10, 4);
    expect(good).toMatchObject({ reaches: true, instead: null });
    expect(good.days.at(-1)).toBeCloseTo(100);
    expect(good.days.every((tempo, i) => i === 0 || tempo > good.days[i - 1]!)).toBe(true);
    expect(ladderPlan(80, 120, 10, 2)).toMatchObject({ reaches: false, instead: { tempo: 100, days: 20 } });
    expect(ladderPlan(80, 120, 10, 0).instead).toEqual({ tempo: 80, days: Infinity });
    expect(ladderPlan(100, 90, 3, 0)).toMatchObject({ days: [90, 90, 90], reaches: true });
  });
});

describe("the count", () => {
  it("gives one back for a bad play, and never owes", () => {
    expect(counted(3, true)).toBe(4);
    expect(counted(3, false)).toBe(2);
    expect(counted(0, false)).toBe(0);
  });

  it.each([
    [5, 0.9],
    [10, 0.75],
    [4, 0.6],
  ])("of %i at a rate of %f is forecast as it comes out when it is tried", (wanted, rate) => {
    const random = seeded(wanted);
    const plays = Array.from({ length: 4000 }, () => {
      let [count, all] = [0, 0];
      while (count < wanted) {
        count = counted(count, random.whole(0, 9999) < rate * 10_000);
        all++;
      }
      return all;
    }).sort((a, b) => a - b);
    const forecast = countForecast(wanted, rate)!;
    expect(Math.abs(forecast.middle - plays[2000]!)).toBeLessThanOrEqual(1);
    expect(Math.abs(forecast.most - plays[3600]!)).toBeLessThanOrEqual(Math.max(1, 0.06 * forecast.most));
  });

  it("without giving back is the negative binomial's: one good play at a half comes at once as often as not", () => {
    expect(countForecast(1, 0.5, false)).toEqual({ middle: 1, most: 4 });
  });

  it("is not begun where it would hardly end, and says so", () => {
    expect(countForecast(20, 0.3)).toBeNull();
    expect(sayForecast(null, 20, 10)).toContain("would hardly come together");
    expect(sayForecast({ middle: 12, most: 20 }, 10, 15)).toBe(
      "10 will probably take about 12 plays, 3 minutes; hardly more than 20, 5 minutes.",
    );
  });
});

describe("a drill written out", () => {
  const key = (k: number, finger: 1 | 2 | 3 | 4 | 5) => ({ key: k as never, finger });

  it("fills its bars, ties over bar lines, and names its fingers by its own notes", () => {
    const events = [
      { keys: [key(60, 1)], length: beats("3/2") },
      { keys: [key(62, 2), key(65, 4)], length: beats(3) },
      { keys: [], length: beats("1/2") },
      { keys: [key(64, 3)], length: beats(1) },
    ];
    const { entry, digits } = written({ time: [4, 4], tempo: 90, hands: [{ side: "right", events }] }, "Written", 0);
    expect(entry.bars).toHaveLength(2);
    for (const bar of entry.bars) expect(toNumber(sumOf(bar[0].map(({ length }) => length)))).toBeLessThanOrEqual(4);
    expect(entry.bars[0]![0].map(({ tied }) => tied)).toEqual([false, true, true]);
    expect(digits).toEqual({ "b1-s1-v1-n1": 1, "b1-s1-v1-n2": 2, "b1-s1-v1-n3": 4, "b2-s1-v1-n3": 3 });
  });

  it("can write plain lengths and triplets, and nothing shorter than a thirty-second", () => {
    expect(["1/4", "3/8", "5/4", "1/3", "2/3", "1/8"].every((length) => canBeWritten(beats(length)))).toBe(true);
    expect(canBeWritten(beats("1/64"))).toBe(false);
  });
});

describe("the choice of drills", () => {
  const keys = [60, 62, 64, 65, 67, 69, 71, 72];
  const study = studyOfKeys(keys, "right", { tempo: 160 });
  const digits = fingered(study, "12312345");
  const [source] = sourcesOf(study, digits);

  it("is of three at the most, each of another kind, each with its reason", () => {
    const chosen = chosenDrills(source!, judge(study, digits));
    expect(chosen.length).toBeGreaterThan(0);
    expect(chosen.length).toBeLessThanOrEqual(3);
    expect(new Set(chosen.map(({ drill }) => drill.kind)).size).toBe(chosen.length);
    for (const { reason } of chosen) expect(reason).toMatch(/^against .+, worst in bar \d/);
  });

  it("suits the player's school where there is a choice, and says so", () => {
    const paces = (movement: "slow" | "snips"): readonly string[] =>
      chosenDrills(source!, judge(study, digits), { school: { basis: "passage", movement } }).map(
        ({ drill }) => DRILL_KINDS.find(({ id }) => id === drill.kind)!.pace,
      );
    const count = (pace: string, all: readonly string[]): number => all.filter((one) => one === pace).length;
    expect(count("quick", paces("snips"))).toBeGreaterThan(count("quick", paces("slow")));
    const [first] = chosenDrills(source!, judge(study, digits), { school: { basis: "passage", movement: "snips" } });
    expect(first!.reason).toContain("as you like it");
  });

  it("lets a drill that has done its work give way to another", () => {
    const before = chosenDrills(source!, judge(study, digits)).map(({ drill }) => drill.id);
    const after = chosenDrills(source!, judge(study, digits), { worked: new Set([before[0]!]) });
    expect(after.map(({ drill }) => drill.id)).not.toContain(before[0]);
    expect(after.length).toBeGreaterThan(0);
  });

  it("goes where takes fail", () => {
    const at = source!.onsets[3]!.keys[0]!.note;
    const faults = knownOnsets(source!, [
      { astray: { [at]: 2 }, felt: null },
      { astray: {}, felt: { amount: 8, bars: { from: source!.onsets[0]!.bar, to: source!.onsets[0]!.bar } } },
    ]);
    expect(faults.map((one) => one.faults)).toEqual([0, 0, 0, 1, 0, 0, 0, 0]);
    expect(chosenDrills(source!, judge(study, digits), { known: faults })[0]!.reason).toContain("takes fail there");
    expect(faults[0]!.tension).toBeCloseTo(0.4);
    expect(faults.every(({ tension }, i) => tension > 0 === (source!.onsets[i]!.bar === source!.onsets[0]!.bar))).toBe(
      true,
    );
  });
});
