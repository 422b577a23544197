import { correlation } from "../trials/statistics";
import type { KeyHeard } from "./heard";

/**
 * How well each step above the tonic fits a major and a minor key, as listeners rate it.
 * Krumhansl and Kessler, Psychological Review 89(4), 1982, tables of probe-tone ratings.
 */
const MAJOR = [6.35, 2.23, 3.48, 2.33, 4.38, 4.09, 2.52, 5.19, 2.39, 3.66, 2.29, 2.88];
const MINOR = [6.33, 2.68, 3.52, 5.38, 2.6, 3.53, 2.54, 4.75, 3.98, 2.69, 3.34, 3.17];

/**
 * The key signature that fits some keys best, by how long each sounds: the major or minor key whose ratings go together with
 * them best. -6 to 6, sharps positive; 0 for no keys.
 */
export function signatureOf(keys: readonly Pick<KeyHeard, "key" | "at" | "ends">[]): number {
  const sounding = new Array<number>(12).fill(0);
  for (const { key, at, ends } of keys) sounding[key % 12]! += Math.min(4, Math.max(0.05, ends - at));
  let best = { fit: -Infinity, fifths: 0 };
  for (let tonic = 0; tonic < 12; tonic++)
    for (const [profile, minor] of [
      [MAJOR, false],
      [MINOR, true],
    ] as const) {
      const fit =
        correlation(
          profile.map((_, step) => sounding[(tonic + step) % 12]!),
          profile,
        ) ?? 0;
      const major = minor ? (tonic + 3) % 12 : tonic;
      const fifths = ((major * 7 + 6) % 12) - 6;
      if (fit > best.fit + 1e-9) best = { fit, fifths: fifths < -6 ? fifths + 12 : fifths };
    }
  return best.fifths;
}
