import { planOf } from "@/core/motion/plan/plan";
import { coordinatesAt } from "@/core/motion/path/path";
import { bestOf, studyOfCase } from "./grade";
import { LADDER } from "./ladder";
for (const { passage } of LADDER) {
  const study = studyOfCase(passage);
  const [h] = planOf(study, bestOf(study)).hands;
  const p = h!.path;
  const x = (ms: number) => coordinatesAt(p, ms).x;
  let len = 0;
  for (let ms = h!.frames[0]!.ms; ms < h!.frames.at(-1)!.ms; ms += 5) len += Math.abs(x(ms + 5) - x(ms));
  const within = p.places.map((q) => q.within),
    ease = p.places.map((q) => q.ease);
  const starts = within
    .slice(0, 8)
    .flatMap((w) => [w.least, w.most])
    .filter(Number.isFinite);
  const short = Math.min(
    ...starts.map((s) => {
      let [at, sum] = [s, 0];
      for (const w of within) {
        const n = Math.min(w.most, Math.max(w.least, at));
        sum += Math.abs(n - at);
        at = n;
      }
      return sum;
    }),
  );
  const eased = ease.slice(1).reduce((s, e, i) => s + Math.abs(e - ease[i]!), 0);
  console.log(passage.name.padEnd(50), len.toFixed(0), "comfort", short.toFixed(0), "eased", eased.toFixed(0));
}
