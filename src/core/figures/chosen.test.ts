import { studyOfKeys } from "../../../tests/support/studies";
import { drain } from "../drain";
import { leaningById } from "../options/leanings";
import { optionConditions } from "../options/asked/option-conditions";
import { fingering, latticesOf, notesAsked } from "../fingering/study/study";
import { USUAL_WISHES } from "../options/asked/wishes";
import { chosenFigure, tieOf } from "./chosen";

const FIGURE = [60, 64, 67];
const KEYS = [...FIGURE, 71, 72, ...FIGURE.map((k) => k + 1), 74, 75, ...FIGURE];

describe("a stretch that the player ties", () => {
  const study = studyOfKeys(KEYS);
  const asked = notesAsked(study);

  it("is answered wherever it comes, before it or after it, at any length", () => {
    const last = chosenFigure(study, asked.slice(10, 13))!;
    expect(last.returns.map((r) => [r.relation, asked.indexOf(r.notes[0]!)])).toEqual([
      ["exact", 0],
      ["chromatic", 5],
    ]);
  });

  it("reaches from the first to the last of the notes named", () => {
    expect(chosenFigure(study, [asked[0]!, asked[2]!])!.notes).toEqual(asked.slice(0, 3));
  });

  it("takes the same fingers in every place that answers it", () => {
    const ties = [tieOf(chosenFigure(study, asked.slice(0, 3))!)];
    const balanced = leaningById("balanced");
    const conditions = optionConditions(
      study,
      balanced,
      { ...USUAL_WISHES, tying: "none", ties },
      { pins: {}, ruledOut: {} },
    );
    const [tied] = drain(fingering(latticesOf(study), conditions, 1));
    const digits = (from: number) => asked.slice(from, from + 3).map((id) => tied![id]);
    expect(digits(5)).toEqual(digits(0));
    expect(digits(10)).toEqual(digits(0));
  });

  it("is no figure where a note is not in the hand's line", () => {
    expect(chosenFigure(study, ["elsewhere" as never])).toBeNull();
  });
});
