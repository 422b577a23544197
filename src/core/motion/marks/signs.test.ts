import { fingered, studyOfKeys } from "../../../../tests/support/studies";
import { motionSweeping } from "../plan/motion-sweep";
import { planOf } from "../plan/plan";
import { mergedMarks, NO_PLAN_MARKS, shapeRunsOf, withTouches, type PlanMarks } from "./plan-marks";
import { SIGN_IDS, SIGNS, signsOf, wordsOf } from "./signs";

const study = studyOfKeys([60, 67, 60, 67, 60, 67, 60, 67], "right", { tempo: 100 });
const plan = planOf(study, fingered(study, "15151515"));
const right = () => "right" as const;

describe("signs of the plan", () => {
  it("stand where the plan asks for them, and each says what it means", () => {
    const placed = signsOf(plan, NO_PLAN_MARKS, right, "all");
    const [first] = plan.hands[0]!.rockings;
    expect(placed).toContainEqual(
      expect.objectContaining({
        sign: "rocking",
        note: first!.notes[0],
        to: first!.notes.at(-1),
        above: true,
        own: false,
      }),
    );
    expect(placed.some((s) => s.sign === "group")).toBe(true);
    expect(new Set(placed.map((s) => s.key)).size).toBe(placed.length);
    expect(new Set(SIGN_IDS).size).toBe(SIGNS.length + 1);
    for (const { words } of SIGNS) expect(words.length).toBeGreaterThan(3);
    expect(() => wordsOf("flourish")).toThrow(RangeError);
  });

  it("are taken away by the player, and own ones put beside them", () => {
    const note = plan.hands[0]!.frames[2]!.notes[0]!;
    const key = `rocking ${plan.hands[0]!.rockings[0]!.notes[0]}`;
    const marks: PlanMarks = {
      ...NO_PLAN_MARKS,
      hidden: [key],
      signs: [{ id: "s1", sign: "words", note, to: null, above: false, words: "breathe" }],
    };
    const placed = signsOf(plan, marks, right);
    expect(placed.some((s) => s.key === key)).toBe(false);
    expect(placed).toContainEqual(expect.objectContaining({ key: "s1", words: "breathe", own: true, above: false }));
  });
});

describe("the player's own of the plan", () => {
  it("is a touch for a group, never from the arm above the key", () => {
    const note = plan.hands[0]!.frames[0]!.notes[0]!;
    const touches = { [note]: { source: "arm", start: "above", end: "held" } } as PlanMarks["touches"];
    const [impulse] = withTouches(plan.hands[0]!, { ...NO_PLAN_MARKS, touches }).impulses;
    expect(impulse!.touch).toMatchObject({ source: "arm", start: "on-key", why: "as you chose" });
  });

  it("is the school that has flat passages learnt curled first", () => {
    const black = studyOfKeys([61, 63, 66, 68, 70], "right", { tempo: 50 });
    const [hand] = planOf(black, fingered(black, "12345")).hands;
    const runs = (school: PlanMarks["school"]) => shapeRunsOf(hand!, { school });
    expect(runs("as-played")).toMatchObject([{ from: 0, to: 4, shape: "flat", curledFirst: false }]);
    expect(runs("curled-first")[0]!.curledFirst).toBe(true);
  });
});

describe("the plan against tempo", () => {
  it("rocks faster and finds fewer windows the faster it is", () => {
    const steps = motionSweeping(study, [fingered(study, "15151515")], 60, 240);
    let step = steps.next();
    let yielded = 0;
    for (; !step.done; step = steps.next()) yielded++;
    const [curve] = step.value.curves;
    expect(yielded).toBe(step.value.tempos.length);
    expect([...curve!.rotation].sort((a, b) => a - b)).toEqual(curve!.rotation);
    expect(curve!.rotation[0]).toBeCloseTo(2, 6);
    expect([...curve!.windows].sort((a, b) => b - a)).toEqual(curve!.windows);
  });
});

describe("marks of two windows", () => {
  const note = plan.hands[0]!.frames[0]!.notes[0]!;
  const sign = (id: string, words: string): PlanMarks["signs"][number] => {
    return { id, sign: "words", note, to: null, above: true, words };
  };
  const before: PlanMarks = { ...NO_PLAN_MARKS, signs: [sign("a", "one"), sign("b", "two")], hidden: ["x", "y"] };

  it("are put together: what each changed counts, what neither touched stays", () => {
    const mine: PlanMarks = { ...before, signs: [sign("a", "uno")], hidden: ["x"], watched: ["elbow-out"] };
    const theirs: PlanMarks = {
      ...before,
      signs: [sign("a", "one"), sign("b", "two"), sign("c", "three")],
      hidden: ["x", "y", "z"],
      school: "curled-first",
      tune: { top: true },
    };
    const merged = mergedMarks(before, mine, theirs);
    expect(merged.signs.map((s) => s.words)).toEqual(["uno", "three"]);
    expect(merged.hidden).toEqual(["x", "z"]);
    expect(merged).toMatchObject({ watched: ["elbow-out"], school: "curled-first", tune: { top: true } });
  });

  it("are just mine where the other window changed nothing, and theirs where I changed nothing", () => {
    const mine: PlanMarks = { ...before, signs: [], school: "curled-first" };
    expect(mergedMarks(before, mine, before)).toEqual(mine);
    expect(mergedMarks(before, before, mine)).toEqual(mine);
  });
});
