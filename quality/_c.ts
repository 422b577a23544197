import { planOf } from "@/core/motion/plan/plan";
import { bestOf, studyOfCase } from "./grade";
import { HARMFUL } from "./plan-cases";
const study = studyOfCase(HARMFUL[0]!.passage);
const fg = bestOf(study);
const h = planOf(study, fg).hands[0]!;
console.log(
  Object.values(fg).join(" "),
  [...h.path.ways.x.ms].map((m, i) => `${m.toFixed(0)}:${h.path.ways.x.x[i]!.toFixed(0)}`).join(" "),
);
console.log(
  h.path.places
    .map(
      (p) => `${p.ease.toFixed(0)} [${p.within.least.toFixed(0)} ${p.within.most.toFixed(0)}] ${p.strain.toFixed(0)}`,
    )
    .join(" | "),
);
