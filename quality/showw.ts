import { readFileSync } from "node:fs";
import { qualityCases } from "./cases";
import { agreement, summary } from "./measure";
const w=JSON.parse(readFileSync(process.argv[2]!,"utf8"));
const ho=qualityCases("keys-not-tuned-on").map(c=>agreement(c,w)); for(const a of ho) if(a.agreed<a.graded) console.log("  HO",a.name.padEnd(32),a.ours,a.nearest,a.agreed,a.graded); console.log("HO",summary(ho));
const all=qualityCases().map(c=>agreement(c,w));
for(const a of all) if(a.agreed<a.graded) console.log(a.name.padEnd(32),a.ours,a.nearest,a.agreed,a.graded);
console.log(summary(all), JSON.stringify(w));
