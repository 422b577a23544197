import { planOf } from "@/core/motion/plan/plan";
import { bestOf, studyOfCase } from "./grade";
import { coordinatesAt } from "@/core/motion/path/path";
import { signsOf } from "@/core/motion/marks/signs";
import { NO_PLAN_MARKS } from "@/core/motion/marks/plan-marks";
import { LADDER } from "./ladder";
const C = (name: string, side: string, music: string, manner = {}) =>
  ({ kind: "", name, side, music, accepted: [], why: "", manner, tune: false }) as never;
const S = "C4 D4 E4 F4 G4 A4 B4 C5 D5 E5 F5 G5 A5 B5 C6";
const cases = [
  C("scale", "right", S, { tempo: 100 }),
  C("arpeggio", "right", "C4 E4 G4 C5 E5 G5 C6 G5 E5 C5 G4 E4 C4", { tempo: 100 }),
  C("tremolo", "right", "C5 C6 C5 C6 C5 C6 C5 C6 C5 C6 C5 C6", { tempo: 100 }),
  C("five", "right", "C5 D5 E5 F5 G5 F5 E5 D5 C5", { tempo: 100 }),
  C("alberti", "left", "C3 G3 E3 G3 C3 G3 E3 G3 D3 G3 F3 G3 C3 G3 E3 G3", { tempo: 96 }),
  C("black", "right", "F#4 G#4 A#4 C#5 D#5 F#5 D#5 C#5 A#4 G#4 F#4", { tempo: 96 }),
  C("octaves", "right", "C5+C6 D5+D6 E5+E6 F5+F6 G5+G6 A5+A6 B5+B6 C6+C7", { tempo: 100 }),
  C("held octave", "right", "C4+C5:16 C4+C5:16 / r:4 E4:4 G4:4 E4:4 r:4 E4:4 G4:4 E4:4", { tempo: 60 }),
];
const all = process.argv.includes("-l") ? [...cases, ...LADDER.map((l) => l.passage)] : cases;
for (const c of all as any[]) {
  const study = studyOfCase(c);
  const plan = planOf(study, bestOf(study));
  const h = plan.hands[0]!;
  const t0 = h.frames[0]!.ms,
    t1 = h.frames.at(-1)!.ms;
  let [len, acc, accD] = [0, 0, 0];
  const at = (t: number) => coordinatesAt(h.path, t);
  for (let t = t0; t < t1; t += 5) {
    len += Math.abs(at(t + 5).x - at(t).x);
    acc = Math.max(acc, Math.abs(at(t + 10).x - 2 * at(t + 5).x + at(t).x) / 25);
    accD = Math.max(accD, Math.abs(at(t + 10).depth - 2 * at(t + 5).depth + at(t).depth) / 25);
  }
  const signs = signsOf(plan, NO_PLAN_MARKS, () => c.side);
  console.log(
    `== ${c.name}: len ${len.toFixed(0)} acc ${(1000 * acc).toFixed(2)} accD ${(1000 * accD).toFixed(2)} signs ${signs.length}/${h.frames.length} groups ${h.impulses.map((g) => g.to - g.from + 1).join(" ")}`,
  );
  if (!process.argv.includes("-l") || process.argv.includes("-v")) {
    console.log("  x", h.frames.map((f) => f.x.toFixed(0)).join(" "));
    console.log("  d", h.frames.map((f) => f.depth.toFixed(0)).join(" "));
    console.log("  h", h.frames.map((f) => f.height.toFixed(0)).join(" "));
    console.log("  signs", signs.map((s) => s.sign).join(" "));
    console.log("  touch", h.impulses.map((g) => g.touch.why).join(" | "));
  }
  for (const w of plan.warnings.slice(0, 6)) console.log("   !", w.cost.toFixed(0), w.words);
}
