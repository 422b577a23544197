import { seeded } from "../tests/support/seeded";
import { answered } from "./grade";
import { nameOf } from "./notation";
import { WEIGHTS } from "@/core/fingering/cost/weights";
import { readFileSync } from "node:fs";
const W = process.argv.find((a) => a.startsWith("w="))?.slice(2);
const weights = W ? { ...WEIGHTS, ...JSON.parse(readFileSync(W, "utf8")) } : WEIGHTS;
const SCALE = [0, 2, 4, 5, 7, 9, 11];
for (const side of ["right", "left"] as const) {
  const random = seeded(side === "right" ? 11 : 12);
  let [steps, sk, tl, hp] = [0, 0, 0, 0];
  for (let line = 0; line < 40; line++) {
    const tonic = (side === "right" ? 60 : 43) + (line % 12);
    let step = random.whole(0, 7);
    let way = random.pick([1, -1]);
    const keys = Array.from({ length: 32 }, () => {
      if (random.chance(0.22) || step > 11 || step < -3) way = step > 11 ? -1 : step < -3 ? 1 : -way;
      step += way * random.pick([1, 1, 1, 1, 1, 1, 2, 2, 3]);
      return tonic + 12 * Math.floor(step / 7) + SCALE[((step % 7) + 7) % 7]!;
    });
    const f = answered(
      {
        kind: "",
        name: "",
        music: keys.map(nameOf).join(" "),
        side,
        accepted: [],
        why: "",
        manner: {},
        tune: false,
      } as never,
      true,
      weights,
    ).map((a) => a.fingers[0]!);
    for (let i = 1; i < keys.length; i++) {
      const apart = Math.abs(keys[i]! - keys[i - 1]!),
        between = Math.abs(f[i]! - f[i - 1]!);
      const io = f[i]! > f[i - 1]! === (side === "right" ? keys[i]! > keys[i - 1]! : keys[i]! < keys[i - 1]!);
      steps++;
      const show = (t: string) =>
        process.argv.includes("-v") &&
        console.log(
          t,
          side,
          keys
            .slice(Math.max(0, i - 7), i + 7)
            .map((k, j) => nameOf(k) + (Math.max(0, i - 7) + j === i ? "*" : "") + f[Math.max(0, i - 7) + j])
            .join(" "),
        );
      if (apart <= 2 && apart > 0 && between > 1 && io) {
        sk++;
        if (process.argv.includes("-s")) show("skip");
      }
      if (apart <= 2 && f[i]! + f[i - 1]! === 6 && between === 4) {
        tl++;
        show("1-5");
      }
      if (apart > 0 && between === 0) hp++;
    }
  }
  console.log(side, ((1000 * sk) / steps).toFixed(1), ((1000 * tl) / steps).toFixed(1), hp);
}
