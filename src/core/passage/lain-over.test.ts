import { studyOfKeys } from "../../../tests/support/studies";
import { tasksOf } from "../fingering/study/study";

/** By onset, the keys that the hand lies over. */
const lainOver = (keys: readonly (number | readonly number[])[]) =>
  tasksOf(studyOfKeys(keys))[0]!.line.onsets.map(({ liesOver }) => liesOver.join(" "));

describe("keys that the hand is set down over", () => {
  it("are those of each group, and of what closes the last", () => {
    const keys = [48, 55, 52, 55, 47, 55, 50, 55, 47];
    expect(lainOver(keys)).toEqual([...Array<string>(4).fill("48 52 55"), ...Array<string>(5).fill("47 50 55")]);
    expect(lainOver([...keys, 43]).at(-1)).toBe("");
  });

  it("are those of a chord that is broken beside it, on the single notes alone", () => {
    const chord = [59, 62, 66];
    expect(lainOver([chord, ...chord])).toEqual(["", ...Array<string>(3).fill("59 62 66")]);
    expect(lainOver([chord, ...chord, 71, 74]).join("")).toBe("");
  });

  it.each([
    ["a scale goes along the keys", [60, 62, 64, 65, 67, 69, 71, 72]],
    ["so do pieces of one", [60, 62, 64, 65, 62, 64, 65, 67, 64, 65, 67, 69]],
    ["an arpeggio goes on", [60, 64, 67, 72, 76, 79, 84]],
    ["a group is wider than the hand is set down on", [36, 43, 60, 43, 36, 43, 60, 43]],
    ["there are more keys than fingers", [60, 62, 64, 65, 67, 69, 67, 65, 60, 62, 64, 65, 67, 69, 67, 65]],
  ])("are none where %s", (_, keys) => {
    expect(lainOver(keys).join("")).toBe("");
  });
});
