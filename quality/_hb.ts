import { readFileSync } from "node:fs";
import { WEIGHTS } from "@/core/fingering/cost/weights";
import { casesOf } from "./kind";
import { answered, gradedBy } from "./grade";
const W = process.argv.find((a) => a.startsWith("w="))?.slice(2);
const weights = W ? { ...WEIGHTS, ...JSON.parse(readFileSync(W, "utf8")) } : WEIGHTS;
let [n, r] = [0, 0];
for (const c of casesOf("held-back")) {
  const g = gradedBy(c, answered(c, true, weights));
  n++;
  if (g.agreed === g.graded) r++;
}
console.log("held back", r, n);
