import { planOf } from "@/core/motion/plan/plan";
import { signsOf } from "@/core/motion/marks/signs";
import { NO_PLAN_MARKS } from "@/core/motion/marks/plan-marks";
import { bestOf, studyOfCase } from "./grade";
import { EASY, HARMFUL } from "./plan-cases";
let [n, s] = [0, 0];
for (const [what, list] of [
  ["easy", EASY],
  ["harmful", HARMFUL],
] as const)
  for (const { passage, warns } of list) {
    const study = studyOfCase(passage);
    const plan = planOf(study, bestOf(study));
    const signs = signsOf(plan, NO_PLAN_MARKS, () => passage.side);
    n += plan.hands[0]!.frames.length;
    s += signs.length;
    const ok =
      what === "easy" ? plan.warnings.length === 0 : plan.warnings.slice(0, 3).some((w) => warns.includes(w.id));
    console.log(
      ok ? "ok " : "NO ",
      passage.name,
      "|",
      plan.warnings.map((w) => `${w.id} ${w.cost.toFixed(0)} +${w.again.length}`).join("; "),
      ok ? "" : plan.warnings.map((w) => w.words).join(" / "),
    );
  }
console.log("signs a note", (s / n).toFixed(2));
