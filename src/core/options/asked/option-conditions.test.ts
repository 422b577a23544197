import { fingered, studyOfKeys } from "../../../../tests/support/studies";
import { drain } from "../../drain";
import { differences, type Fingering } from "../../fingering/study/fingering";
import { fingering, latticesOf, notesAsked } from "../../fingering/study/study";
import { leaningById, type LeaningId } from "../leanings";
import { optionConditions, type OptionAsked } from "./option-conditions";
import { USUAL_WISHES } from "./wishes";

const study = studyOfKeys([60, 62, 64, 65, 67, 69, 71, 72, 74, 76, 77, 79]);
const notes = notesAsked(study);
const otherwise = fingered(study, "123123412345");

function best(leaning: LeaningId, asked: Partial<OptionAsked>): Fingering {
  const conditions = optionConditions(study, leaningById(leaning), USUAL_WISHES, { pins: {}, ruledOut: {}, ...asked });
  return drain(fingering(latticesOf(study), conditions, 1))[0]!;
}

describe("what an option asks", () => {
  it("keeps the digits of one that was found by asking otherwise, and not those of a leaning", () => {
    expect(best("balanced", { digits: otherwise })).toEqual(best("balanced", {}));
    expect(differences(notes, best("balanced", {}), otherwise).length).toBeGreaterThan(0);
    expect(best("otherwise", { digits: otherwise })).toEqual(otherwise);
  });

  it("works such a one out anew only about what is pinned", () => {
    const pins = { [notes[11]!]: 1 } as const;
    const found = best("otherwise", { digits: otherwise, pins });
    expect(found[notes[11]!]).toBe(1);
    expect(differences(notes.slice(0, 8), found, otherwise)).toEqual([]);
  });

  it("lets a digit that stands go where keeping it strains more than it is worth", () => {
    const hop = fingered(study, "111111111111");
    expect(differences(notes, best("otherwise", { digits: hop }), hop).length).toBeGreaterThan(6);
  });
});
