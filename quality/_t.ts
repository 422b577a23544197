import { HAND_SIZES } from "./hand-sizes";
import { bySize, slowAndFast } from "./solve";
import { TEMPO_FLIPS } from "./flips";
import { LADDER } from "./ladder";
import { bestOf, studyOfCase } from "./grade";
import { judge } from "@/core/fingering/study/study";
for (const h of HAND_SIZES) {
  const d = bySize(h as never) as never as string[];
  const ok = (h.holds as any)(...d);
  if (!ok) console.log("SIZE", h.name, JSON.stringify(d));
}
for (const f of TEMPO_FLIPS as any[]) {
  const r = slowAndFast(f) as any;
  console.log(f.name, JSON.stringify(r));
}
for (const l of LADDER) {
  const s = studyOfCase(l.passage);
  const v = judge(s, bestOf(s)).strain;
  if ((l.rung === "easy" && v >= 15) || (l.rung === "middling" && v >= 40) || (l.rung === "hard" && v <= 40))
    console.log("LADDER", l.passage.name, v.toFixed(1));
  else console.log("   ", l.rung, l.passage.name, v.toFixed(1));
}
