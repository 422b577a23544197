import { note, passage } from "../../../tests/support/passages";
import { drain } from "../drain";
import { beats } from "../time/beats";
import { USUAL_ALLOWANCES } from "./allowances";
import { barsOf, isBeyond, momentsIn, surveying, type Survey, type SurveyData } from "./survey";

const hand = (rulerSpan: number) => ({ measured: { rulerSpan }, resting: [] });

/** Bars of four quarters: each a list of chords, the keys of a right hand. */
function piece(
  bars: readonly (readonly (readonly number[])[])[],
  { span = 191, octave = 164.5, held = "1" } = {},
): SurveyData {
  const notes = bars.flatMap((chords, bar) =>
    chords.flatMap((keys, beat) =>
      keys.map((key, i) =>
        note(`b${bar}c${beat}n${i}`, key, String(4 * bar + beat), held, { bar: String(bar + 1), beat: beats(beat) }),
      ),
    ),
  );
  return {
    study: {
      passage: passage(notes, "both", 2),
      hands: { right: hand(span), left: hand(span) },
      octaveWidth: octave,
      manner: { tempo: 96, touch: "legato", pedal: false },
    },
    bars: bars.map((_, i) => ({ number: String(i + 1), start: beats(4 * i) })),
    allows: USUAL_ALLOWANCES,
  };
}

const survey = (data: SurveyData): Survey => drain(surveying(barsOf(data), data.allows));

const THIRD = [60, 64];
const OCTAVE = [60, 72];
const TENTH = [60, 67, 76];

describe("a survey", () => {
  it("grades every bar by its hardest moment and counts all moments", () => {
    const found = survey(piece([[THIRD, THIRD], [THIRD, OCTAVE], [TENTH], [[60]]]));
    expect(found.bars.map((b) => b.right?.grade ?? null)).toEqual(["relaxed", "working", "out-of-reach", null]);
    expect(found.bars.every((b) => b.left === null)).toBe(true);
    expect(found.counts).toEqual({ relaxed: 3, working: 1, strained: 0, "out-of-reach": 1 });
    expect(momentsIn(found.counts)).toBe(5);
  });

  it("lists the worst places first, with bar, beat, shortness and remedies", () => {
    const [worst, next] = survey(
      piece([
        [THIRD, OCTAVE],
        [THIRD, TENTH],
      ]),
    ).worst;
    expect(worst).toMatchObject({ bar: 2, number: "2", beat: "1", side: "right", keys: TENTH, grade: "out-of-reach" });
    expect(worst!.short).toBeGreaterThan(10);
    expect(worst!.remedies).toContain("roll");
    expect(next).toMatchObject({ bar: 1, beat: "1", grade: "working" });
  });

  it("counts, for each kind of remedy, the moments out of reach that it helps", () => {
    const { remedies } = survey(piece([[TENTH, TENTH, THIRD]]));
    expect(remedies.roll).toBe(2);
    expect(remedies["other-hand"]).toBe(2);
    expect(remedies.edges).toBeUndefined();
  });

  it("finds less out of reach on narrower keys and in wider hands", () => {
    const out = (more: Parameters<typeof piece>[1]) =>
      survey(piece([[TENTH, OCTAVE, TENTH]], more)).counts["out-of-reach"];
    expect([out({}), out({ octave: 140 }), out({ span: 240 })]).toEqual([2, 0, 0]);
  });

  it("says plainly when a piece as written is not for a hand", () => {
    expect(isBeyond(survey(piece([[TENTH, OCTAVE, THIRD, THIRD]])))).toBe(true);
    expect(isBeyond(survey(piece([[THIRD, OCTAVE, THIRD, THIRD]])))).toBe(false);
  });

  it("knows what is held over from the bar before, and counts no moment twice", () => {
    const held: SurveyData = {
      ...piece([[], []]),
      study: {
        ...piece([[]]).study,
        passage: passage([note("low", 48, "3", "3"), note("high", 76, "4", "1", { bar: "2" })], "both", 2),
      },
    };
    const found = survey(held);
    expect(found.bars.map((b) => b.right?.grade ?? null)).toEqual([null, "out-of-reach"]);
    expect(momentsIn(found.counts)).toBe(1);
  });

  it("goes bar by bar, so that it can be stopped and its progress shown", () => {
    const data = piece([[THIRD], [THIRD], [THIRD]]);
    expect([...surveying(barsOf(data), data.allows)]).toEqual([1, 2, 3]);
  });

  it("answers for a piece without notes", () => {
    expect(momentsIn(survey(piece([[]])).counts)).toBe(0);
  });
});
