import { fingered, studyOfKeys } from "../../../tests/support/studies";
import { figuresOf } from "./find";
import { trapsOf } from "./traps";

describe("memory traps", () => {
  const study = studyOfKeys([60, 64, 62, 67, 65, 71, 72, 62, 65, 64, 69, 67]);
  const traps = (digits: string) => trapsOf(figuresOf(study), fingered(study, digits));

  it("are returns that differ in one finger, not the same ones and not others", () => {
    expect(traps("132541213254")).toEqual([]);
    expect(traps("132541212354")).toEqual([]);
    expect(traps("132541213253").map(({ note, other }) => [note, other])).toEqual([["b1-s1-v1-n5", "b1-s1-v1-n12"]]);
  });
});
