import { studyOfKeys, studyOn } from "../../../../tests/support/studies";
import { note, passage } from "../../../../tests/support/passages";
import { seeded } from "../../../../tests/support/seeded";
import type { LeaningId } from "./index";
import { LEANING_IDS, LEANINGS, leaningById } from "./index";
import { bestLeaning } from "../leaning-study";
import { judge, type Study } from "../../fingering/study/study";
import { WEIGHTS } from "../../fingering/cost/weights";

/** Strain by cause, in plain weights, of the best fingering by a leaning. */
function causesOf(study: Study, id: LeaningId): Record<string, number> {
  const sums: Record<string, number> = {};
  for (const { causes } of Object.values(judge(study, bestLeaning(study, leaningById(id), {}, 1)[0]!.fingering).notes))
    for (const { cause, strain } of causes) sums[cause] = (sums[cause] ?? 0) + strain;
  return sums;
}

describe("leanings", () => {
  it("have the names they are known by, and a sentence each", () => {
    expect(LEANINGS.map((l) => l.id)).toEqual([...LEANING_IDS]);
    for (const { what } of LEANINGS) expect(what).toMatch(/^[A-Z].*\.$/);
    expect(leaningById("balanced").weigh(WEIGHTS)).toBe(WEIGHTS);
  });

  const wide = [60, 67, 64, 72, 67, 76, 72, 79, 67, 72, 64, 67];

  it("give less of what they lean against than the balanced one, over a dozen wide lines", () => {
    const random = seeded(9);
    const lines = Array.from({ length: 12 }, () => studyOfKeys(wide.map((key) => key + random.whole(-2, 3))));
    const sum = (id: LeaningId, ...causes: string[]) =>
      lines.reduce((all, line) => {
        const found = causesOf(line, id);
        return causes.reduce((total, cause) => total + (found[cause] ?? 0), all);
      }, 0);
    const openings = ["opening", "neighbour"];
    expect(sum("smallest-openings", ...openings)).toBeLessThan(sum("balanced", ...openings));
    const moves = ["position", "carry", "thumb-pass"];
    expect(sum("fewest-moves", ...moves)).toBeLessThan(sum("balanced", ...moves));
  });

  it("carried: lets the hand go where bound passes the thumb", () => {
    const arpeggio = studyOfKeys([48, 52, 55, 60, 64, 67, 72, 76, 79]);
    expect(causesOf(arpeggio, "legato")["thumb-pass"]).toBeGreaterThan(0);
    const of = (id: LeaningId) => {
      const leaning = leaningById(id);
      const study = { ...arpeggio, manner: { ...arpeggio.manner, ...leaning.manner } };
      return causesOf(study, id);
    };
    expect(of("carried")["thumb-pass"] ?? 0).toBe(0);
  });

  it("strong on the tune: takes weak fingers off a loud tune", () => {
    const notes = [64, 65, 67, 69, 67, 65, 64, 62].map((key, i) =>
      note(`n${i}`, key, `${i}/2`, "1/2", { loudness: 0.9 }),
    );
    const study = studyOn({ ...passage(notes), tune: { top: true } });
    expect(causesOf(study, "strong-on-tune")["weak-finger"] ?? 0).toBeLessThanOrEqual(
      causesOf(study, "balanced")["weak-finger"] ?? 0,
    );
  });
});
