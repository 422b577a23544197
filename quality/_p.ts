import { passageOf } from "./notation";
import { studyOfCase } from "./grade";
import { price } from "@/core/fingering/cost/price";
import { tasksOf } from "@/core/fingering/study/study";
import { WEIGHTS } from "@/core/fingering/cost/weights";
import { readFileSync } from "node:fs";
const [, , side, music, ...rest] = process.argv;
const W = rest.find((r) => r.startsWith("w="))?.slice(2);
const weights = W ? { ...WEIGHTS, ...JSON.parse(readFileSync(W, "utf8")) } : WEIGHTS;
const tempo = Number(rest.find((r) => r.startsWith("tempo="))?.slice(6) ?? 96);
for (const d of rest.filter((r) => !r.includes("="))) {
  const study = studyOfCase({ side, music, manner: { tempo }, tune: false } as never, weights);
  const [task] = tasksOf(study);
  const words = d.includes(" ") ? d.split(" ") : [...d];
  const digits = new Int8Array(task!.line.strokes.length);
  task!.line.onsets.forEach((o, i) => o.struck.forEach((s, j) => (digits[s.index] = Number(words[i]![j]))));
  const p = price(task!, digits);
  console.log(d, p.total.toFixed(1));
  const by = new Map<string, number>();
  for (const f of p.findings) by.set(f.cause, (by.get(f.cause) ?? 0) + f.strain);
  console.log(
    "   ",
    [...by]
      .sort((a, b) => b[1] - a[1])
      .map(([c, s]) => `${c} ${s.toFixed(1)}`)
      .join(", "),
  );
  if (rest.includes("v=1"))
    for (const o of task!.line.onsets)
      console.log(
        "     ",
        o.struck.map((s) => `${s.key}:${digits[s.index]}`).join(" "),
        p.findings
          .filter((f) => o.struck.includes(f.stroke))
          .map((f) => `${f.cause} ${f.strain.toFixed(1)}`)
          .join(", "),
      );
}
