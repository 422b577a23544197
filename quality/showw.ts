import { readFileSync } from "node:fs";
import { qualityCases } from "./cases";
import { agreement, summary } from "./measure";
const w=JSON.parse(readFileSync(process.argv[2]!,"utf8"));
const all=qualityCases().map(c=>agreement(c,w));
for(const a of all) if(a.agreed<a.graded) console.log(a.name.padEnd(32),a.ours,a.nearest,a.agreed,a.graded);
console.log(summary(all), JSON.stringify(w));
