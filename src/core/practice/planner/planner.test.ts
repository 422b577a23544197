import { seeded } from "../../../../tests/support/seeded";
import { DAY_PLAN } from "../../physics";
import type { Day } from "../../time/days";
import { USUAL_SCHOOL } from "../school";
import { chosenBlocks, minutesWith, playedWith } from "./choose";
import { planAhead, planDay, type DayAsked } from "./day";
import { doseOf, isWide, NO_DOSE } from "./dose";
import { returnOf, stateOf } from "./known";
import { inBestOrder, worthOfOrder } from "./order";
import { wantedBlocks, type PassageKnown, type PieceKnown, type Wanted } from "./wanted";

const day = (text: string): Day => text as Day;
const passage = (id: string, own: Partial<PassageKnown> = {}): PassageKnown => ({
  id,
  title: id,
  state: "learning",
  concertIn: null,
  verdictIn: null,
  isTrialDue: false,
  isReviewDue: false,
  comesBack: { since: 2, held: 0, interval: 1 },
  dose: NO_DOSE,
  changeIn: null,
  isLeftOver: false,
  hindered: null,
  ...own,
});
const PLENTY = { right: 1000, left: 1000 };
const WIDE = { right: 3, left: 0 };
const asked = (passages: readonly PassageKnown[], own: Partial<DayAsked> = {}): DayAsked => ({
  passages,
  pieces: [],
  school: USUAL_SCHOOL,
  minutes: 60,
  isCold: false,
  isWarm: false,
  left: { right: 1000, left: 1000 },
  playing: null,
  ...own,
});

describe("how a passage stands", () => {
  const taken = { state: "taken", fingeringId: "a", practised: 1, reviewIn: null } as const;
  const today = day("2026-05-20");
  const take = (on: string, tempo: number, clean = true) => ({ on: day(on), tempo, clean });

  it("is by the fastest clean take of the last days", () => {
    expect(stateOf({ state: "open" }, [take("2026-05-19", 100)], 100, today)).toBe("undecided");
    expect(stateOf(taken, [take("2026-05-19", 60)], 100, today)).toBe("learning");
    expect(stateOf(taken, [take("2026-05-19", 90)], 100, today)).toBe("securing");
    expect(stateOf(taken, [take("2026-05-19", 100)], 100, today)).toBe("keeping");
    expect(stateOf(taken, [take("2026-04-19", 100), take("2026-05-19", 100, false)], 100, today)).toBe("learning");
  });

  it("comes back later each time that its first take of the day held up", () => {
    const takes = [
      take("2026-05-10", 80),
      take("2026-05-12", 80, false),
      take("2026-05-14", 80),
      take("2026-05-14", 80, false),
      take("2026-05-17", 80),
    ];
    expect(returnOf([], takes, today)).toEqual({ since: 3, held: 2, interval: 4 });
    expect(returnOf([day("2026-05-18")], takes, today)).toMatchObject({ since: 2, held: 2 });
    expect(returnOf([], [], today)).toEqual({ since: null, held: 0, interval: 1 });
  });
});

/** Blocks made up by chance. */
function someBlocks(seed: number, count: number): readonly Wanted[] {
  const random = seeded(seed);
  const known = Array.from({ length: count }, (_, i) =>
    passage(`p${i}`, {
      state: random.pick(["undecided", "learning", "securing", "keeping"] as const),
      concertIn: random.chance(0.5) ? random.whole(1, 40) : null,
      comesBack: { since: random.whole(0, 6), held: 0, interval: random.whole(1, 4) },
      dose: random.chance(0.4) ? { right: random.whole(1, 5), left: random.whole(0, 5) } : NO_DOSE,
    }),
  );
  return wantedBlocks(known, [], PLENTY);
}

describe("the choice of blocks", () => {
  it("is worth as much as the best of all choices, tried one by one", () => {
    for (let seed = 1; seed <= 60; seed++) {
      const random = seeded(seed + 1000);
      const wanted = someBlocks(seed, 4);
      const bounds = {
        minutes: random.whole(10, 90),
        isCold: random.chance(0.3),
        isWarm: random.chance(0.2),
        left: { right: random.whole(0, 60), left: random.whole(0, 60) },
        playing: random.chance(0.5) ? random.whole(2, 30) : null,
      };
      let best = 0;
      for (let set = 0; set < 1 << wanted.length; set++) {
        const blocks = wanted.filter((_, i) => set & (1 << i));
        const isAllowed =
          (blocks.length === 0 || minutesWith(blocks, bounds) <= bounds.minutes) &&
          (blocks.length === 0 || playedWith(blocks, bounds) <= (bounds.playing ?? Infinity)) &&
          blocks.every(({ after }) => after === null || blocks.some(({ id }) => id === after)) &&
          (["right", "left"] as const).every(
            (side) => blocks.reduce((sum, { dose }) => sum + dose[side], 0) <= bounds.left[side],
          );
        if (isAllowed)
          best = Math.max(
            best,
            blocks.reduce((sum, { worth }) => sum + worth, 0),
          );
      }
      const found = chosenBlocks(wanted, bounds).reduce((sum, { worth }) => sum + worth, 0);
      expect(found).toBeCloseTo(best, 9);
    }
  });

  it("is as good however many there are to choose from, and in no more time than a day's plan may take", () => {
    const wanted = someBlocks(5, 40);
    const chosen = chosenBlocks(wanted, {
      minutes: 240,
      isCold: false,
      isWarm: false,
      left: { right: 200, left: 200 },
      playing: null,
    });
    expect(chosen.length).toBeLessThanOrEqual(DAY_PLAN.mostBlocks);
    expect(chosen.length).toBeGreaterThan(8);
  });
});

describe("the order of blocks", () => {
  const orders = (blocks: readonly Wanted[]): readonly (readonly Wanted[])[] =>
    blocks.length === 0
      ? [[]]
      : blocks.flatMap((one, i) => orders(blocks.filter((_, k) => k !== i)).map((others) => [one, ...others]));

  it("is worth as much as the best of all orders, tried one by one", () => {
    for (let seed = 1; seed <= 30; seed++) {
      const blocks = someBlocks(seed, 3).slice(0, 5);
      const warmth = { isCold: seed % 2 === 0, isWarm: seed % 5 === 0 };
      const best = Math.max(...orders(blocks).map((order) => worthOfOrder(order, warmth)));
      expect(worthOfOrder(inBestOrder(blocks, warmth), warmth)).toBeCloseTo(best, 9);
    }
  });

  it("keeps what opens wide out of the first block, and one passage from following itself", () => {
    const blocks = wantedBlocks(
      [passage("wide", { dose: WIDE, concertIn: 2 }), passage("a"), passage("b")],
      [],
      PLENTY,
    );
    const order = inBestOrder(blocks, { isCold: false, isWarm: false });
    expect(order[0]!.isWide).toBe(false);
    order.slice(1).forEach((one, i) => expect(one.passageId).not.toBe(order[i]!.passageId));
  });
});

describe("the plan of a day", () => {
  it("begins warm, checks at both ends, and says of every stretch why it is there", () => {
    const { stretches, minutes } = planDay(
      asked([passage("a"), passage("b"), passage("c"), passage("d")], { minutes: 90 }),
    );
    expect(stretches[0]!.doing).toBe("warm-up");
    expect([stretches[1]!.doing, stretches.at(-1)!.doing]).toEqual(["check", "check"]);
    expect(stretches.map(({ doing }) => doing)).toContain("rest");
    expect(stretches.every(({ why, minutes: own }) => why.length > 5 && own > 0)).toBe(true);
    expect(minutes).toBeLessThanOrEqual(90);
    expect(minutes).toBeGreaterThan(70);
  });

  it("never opens a hand wider than it has left, nor anything wide in the first minutes", () => {
    for (let seed = 1; seed <= 40; seed++) {
      const random = seeded(seed);
      const passages = Array.from({ length: 6 }, (_, i) =>
        passage(`p${i}`, {
          dose: random.chance(0.7) ? { right: random.whole(1, 6), left: random.whole(0, 6) } : NO_DOSE,
        }),
      );
      const left = { right: random.whole(0, 80), left: random.whole(0, 80) };
      const isCold = random.chance(0.5);
      const { stretches, dose, minutes } = planDay(asked(passages, { minutes: random.whole(10, 150), left, isCold }));
      expect(dose.right).toBeLessThanOrEqual(left.right + 1e-9);
      expect(dose.left).toBeLessThanOrEqual(left.left + 1e-9);
      let at = 0;
      for (const { passageId, doing, minutes: own } of stretches) {
        const isWideHere =
          doing !== "warm-up" && passageId !== null && isWide(passages.find(({ id }) => id === passageId)!.dose);
        if (isWideHere) expect(at).toBeGreaterThanOrEqual(isCold ? DAY_PLAN.beforeWideCold : DAY_PLAN.beforeWide);
        at += own;
      }
      expect(at).toBe(minutes);
    }
  });

  it("shortens what opens wide to what there is left, and says what is left out for it", () => {
    const own = (left: number) =>
      planDay(asked([passage("a", { dose: WIDE }), passage("b")], { left: { right: left, left: 0 } }));
    const [all, some, none] = [own(100), own(9), own(1)];
    const minutesOf = (plan: typeof all): number | undefined =>
      plan.stretches.find(({ doing, passageId }) => doing === "learn" && passageId === "a")?.minutes;
    expect([minutesOf(all), minutesOf(some), minutesOf(none)]).toEqual([10, 5, undefined]);
    expect(some.stretches.find(({ passageId, doing }) => passageId === "a" && doing === "learn")!.why).toContain(
      "short",
    );
    expect(none.hindered).toMatchObject([{ title: "a" }]);
  });

  it("leaves out what cannot be practised, and says why", () => {
    const plan = planDay(asked([passage("a"), passage("b", { hindered: "the left hand is out of use" })]));
    expect(plan.stretches.some(({ passageId }) => passageId === "b")).toBe(false);
    expect(plan.hindered).toEqual([{ title: "b", why: "the left hand is out of use" }]);
    expect(planDay(asked([])).stretches).toEqual([]);
    expect(planDay(asked([passage("a")], { minutes: 15 })).stretches).toEqual([]);
  });

  it("has no second warm-up where the hands are warm", () => {
    const { stretches } = planDay(asked([passage("a", { dose: WIDE })], { isWarm: true, minutes: 20 }));
    expect(stretches.map(({ doing }) => doing)).toEqual(["check", "learn", "check"]);
  });

  it("warms longer when it is cold, and with exercises where the player likes them", () => {
    const warm = (own: Partial<DayAsked>) => planDay(asked([passage("a"), passage("b")], own)).stretches[0]!;
    expect(warm({ isCold: true }).minutes).toBeGreaterThan(warm({}).minutes);
    expect(warm({ school: { basis: "exercises", movement: "slow" } }).why).toContain("five fingers");
  });

  it("puts first what is due, near its concert, or left over", () => {
    const first = (own: Partial<PassageKnown>): string =>
      planDay(asked([passage("other"), passage("this", own)], { minutes: 25 })).stretches.find(
        ({ doing }) => doing === "learn" || doing === "decide",
      )!.passageId!;
    for (const own of [
      { concertIn: 3 },
      { isLeftOver: true },
      { isTrialDue: true },
      { state: "undecided", verdictIn: 0 } as const,
    ])
      expect(first(own)).toBe("this");
    expect(first({ comesBack: { since: 1, held: 3, interval: 8 } })).toBe("other");
  });

  it("says until when a change of fingering is sensible, where one is to be decided", () => {
    const why = (own: Partial<PassageKnown>): string =>
      planDay(asked([passage("a", own)], { minutes: 25 })).stretches.find(
        ({ doing }) => doing === "decide" || doing === "learn",
      )!.why;
    expect(why({ state: "undecided", changeIn: 5 })).toContain("a change of fingering is sensible for 5 days more");
    expect(why({ state: "undecided", changeIn: -1 })).toContain("too late to change its fingering safely");
    expect(why({ state: "learning", changeIn: 5 })).not.toContain("change");
  });

  it("runs through a piece late enough, not too often, and not on the eve", () => {
    const runs = (own: Partial<PieceKnown>): number =>
      planDay(
        asked([passage("a")], {
          minutes: 90,
          pieces: [{ id: "x", title: "x", concertIn: 10, runSince: null, dose: NO_DOSE, ...own }],
        }),
      ).stretches.filter(({ doing }) => doing === "run").length;
    expect([runs({}), runs({ concertIn: 40 }), runs({ concertIn: 1 }), runs({ runSince: 1 })]).toEqual([1, 0, 0, 0]);
  });
});

describe("the days to come", () => {
  it("bring back what was not done, and space what was", () => {
    const passages = Array.from({ length: 8 }, (_, i) =>
      passage(`p${i}`, { comesBack: { since: 4, held: 1, interval: 2 } }),
    );
    const days = planAhead(
      asked(passages),
      [0, 1, 2, 3].map((inDays) => ({ inDays, minutes: 45 })),
      { left: { right: 100, left: 100 }, playing: null },
    );
    const met = days.map(
      ({ stretches }) => new Set(stretches.flatMap(({ doing, passageId }) => (doing === "learn" ? [passageId] : []))),
    );
    expect(new Set(met.flatMap((one) => [...one])).size).toBe(8);
    for (const id of met[0]!) expect(met[1]!.has(id)).toBe(false);
  });

  it("leave a concert behind them", () => {
    const [, , after] = planAhead(
      asked([passage("a", { concertIn: 1 })]),
      [0, 1, 2].map((inDays) => ({ inDays, minutes: 30 })),
      { left: { right: 9, left: 9 }, playing: null },
    );
    expect(after!.stretches.some(({ why }) => why.includes("concert"))).toBe(false);
  });

  it("cost what a minute costs, times the share of it in which keys are down", () => {
    const one = doseOf({ right: 10, left: 0 }, 10);
    expect(one.right).toBeGreaterThan(0);
    expect(one.right).toBeLessThan(100);
    expect(doseOf({ right: 10, left: 0 }, 20).right).toBeCloseTo(2 * one.right);
  });
});
