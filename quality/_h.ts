import { readFileSync } from "node:fs";
import { WEIGHTS } from "@/core/fingering/cost/weights";
import { casesOf } from "./kind";
import { answered, gradedBy } from "./grade";
import { qualityCases, TUNED_ON, NOT_TUNED_ON } from "./cases";
import { nameOf } from "./notation";
const verbose = process.argv.includes("-v");
const only = process.argv.find((a) => a.startsWith("k="))?.slice(2);
const W = process.argv.find((a) => a.startsWith("w="))?.slice(2);
const weights = W ? { ...WEIGHTS, ...JSON.parse(readFileSync(W, "utf8")) } : WEIGHTS;
const t0 = performance.now();
// own kinds
let byKind = new Map<string, number[]>();
for (const c of casesOf("kinds")) {
  if (only && !c.kind.includes(only)) continue;
  const g = gradedBy(c, answered(c, true, weights));
  const k = byKind.get(c.kind) ?? byKind.set(c.kind, [0, 0]).get(c.kind)!;
  k[1]++;
  if (g.agreed === g.graded) k[0]++;
  else if (verbose)
    console.log(
      `  ${c.kind.padEnd(24)} ${g.name.padEnd(40)} ${g.ours}  <> ${g.nearest} ${g.agreed}/${g.graded}  ${c.music.length < 60 ? c.music : ""}`,
    );
}
let [a, b] = [0, 0];
for (const [k, [r, n]] of byKind) {
  a += r!;
  b += n!;
  console.log(`${k.padEnd(34)} ${r} of ${n}`);
}
console.log(`kinds ${a} of ${b} = ${((100 * a) / b).toFixed(1)}  ${(performance.now() - t0).toFixed(0)} ms`);
if (!only) {
  for (const tied of [true, false]) {
    let out = "";
    for (const table of [...TUNED_ON, NOT_TUNED_ON]) {
      let [n, g, w, cs] = [0, 0, 0, 0];
      for (const c of qualityCases(table)) {
        const ours = answered(
          { music: c.keys.map(nameOf).join(" "), side: c.side, manner: {}, tune: false } as never,
          tied,
          weights,
        ).map((f) => f.fingers[0]!);
        let best = -1;
        for (const acc of c.accepted) best = Math.max(best, c.graded.filter((i) => acc[i] === ours[i]).length);
        n += best;
        g += c.graded.length;
        cs++;
        if (best === c.graded.length) w++;
        else if (verbose) console.log(`   ${c.name.padEnd(34)} ${ours.join("")} acc ${c.accepted[0]!.join("")}`);
      }
      out += ` ${table.slice(0, 10)} ${n}/${g} ${w}/${cs};`;
    }
    console.log(tied ? "tied" : "free", out);
  }
  const conv = JSON.parse(readFileSync("/work/shared/quality/conventions/expected.json", "utf8")) as any[];
  const kinds = new Map<string, number[]>();
  const rules: Record<string, (o: number[][], f: number[][]) => boolean> = {
    edges: (_, f) => {
      const x = f.map((v) => v[0]!);
      const i0 = x.indexOf(1),
        i1 = x.lastIndexOf(1);
      return x.every((v, i) => i === 0 || (i >= i0 && i - 1 <= i1) || Math.abs(v - x[i - 1]!) === 1);
    },
    octaves: (o, f) =>
      f.every((v, i) => {
        const s = [...v].sort().join("");
        return s === "15" || (s === "14" && [1, 3, 6, 8, 10].includes(o[i]![0]! % 12));
      }),
    chromatic: (o, f) =>
      f.every((v, i) => {
        const b = [1, 3, 6, 8, 10].includes(o[i]![0]! % 12);
        if (v[0] === 1 && b) return false;
        if (v[0] === 5 && i > 0 && i < f.length - 1) return false;
        const p = f[i - 1]?.[0];
        return p === undefined || (!(p === 1 && v[0] === 5) && !(p === 5 && v[0] === 1) && !(p === 1 && v[0] === 1));
      }),
  };
  for (const c of conv) {
    const ours = answered(
      {
        music: c.onsets.map((o: number[]) => o.map(nameOf).join("+")).join(" "),
        side: c.hand,
        manner: { tempo: c.tempo },
        tune: false,
      } as never,
      true,
      weights,
    ).map((x) => [...x.fingers]);
    let ok = false;
    if (c.accepted)
      ok = c.accepted.some((acc: number[][]) => c.graded.every((i: number) => acc[i]!.join() === ours[i]!.join()));
    else ok = rules[c.kind.split(" ")[0]]!(c.onsets, ours);
    const k = kinds.get(c.kind) ?? kinds.set(c.kind, [0, 0]).get(c.kind)!;
    k[1]++;
    if (ok) k[0]++;
    else if (verbose)
      console.log(
        `   ${c.kind} ${c.name} ${ours.map((x) => x.join("")).join(" ")} <> ${c.accepted ? c.accepted[0].map((x: number[]) => x.join("")).join(" ") : c.rule.slice(0, 30)}`,
      );
  }
  console.log("conventions", [...kinds].map(([k, [r, n]]) => `${k} ${r}/${n}`).join("; "));
}
console.log(`${(performance.now() - t0).toFixed(0)} ms`);
