import { note, passage } from "../../../tests/support/passages";
import { studyOfKeys, studyOn } from "../../../tests/support/studies";
import { tasksOf } from "../fingering/study/study";
import { groupsInOrder } from "./groups";

/** The first and last onset of each group. */
const found = (keys: readonly (number | readonly number[])[]) =>
  groupsInOrder(tasksOf(studyOfKeys(keys))[0]!.line.onsets).map(({ first, last }) => [first, last]);

describe("groups in order", () => {
  const chords = [
    [48, 52, 55],
    [48, 53, 57],
    [47, 50, 55],
  ];
  const along = (order: readonly number[]) => chords.flatMap((chord) => order.map((place) => chord[place]!));

  it("strike their own keys in one order, whatever lies between these", () => {
    expect(found(along([0, 2, 1, 2]))).toEqual([
      [0, 3],
      [4, 7],
      [8, 11],
    ]);
    expect(found(along([0, 1, 2, 1, 2, 1])).map(([first]) => first)).toEqual([0, 6, 12]);
  });

  it("end where the order changes, and another run begins on the next beat", () => {
    const both = [...along([0, 2, 1, 2]), 60, 67, 64, 60, 60, 69, 65, 60];
    expect(found(both)).toEqual([
      [0, 3],
      [4, 7],
      [8, 11],
      [12, 15],
      [16, 19],
    ]);
  });

  it("may have chords in them", () => {
    const bar = ([low, ...high]: readonly number[]) => [low!, high, low!, high];
    expect(found(chords.flatMap(bar))).toHaveLength(3);
  });

  it("may strike each key once where most come again in the next, as from one inversion of a chord to another", () => {
    const inversions = [60, 64, 67, 72, 64, 67, 72, 76, 67, 72, 76, 79];
    expect(found(inversions)).toEqual([
      [0, 3],
      [4, 7],
      [8, 11],
    ]);
    expect(found(inversions.slice(0, 8).toReversed()).map(([first]) => first)).toEqual([0, 4]);
    expect(found([60, 64, 67, 72, 67, 72, 76, 79])).toEqual([]);
  });

  it("are none where a scale goes on, though a turn before strikes most of its keys as well", () => {
    const turned = [71, 69, 67, 65, 67, 69, 71, 72, 74, 76, 77, 79];
    expect(found(turned)).toEqual([]);
    expect(found(turned.map((key) => 131 - key))).toEqual([]);
  });

  it("are pieces of a scale of which each begins in the midst of the one before", () => {
    const pieces = [60, 64, 67].flatMap((key) => [key, key + 1, key + 3, key + 5]);
    expect(found(pieces).map(([first]) => first)).toEqual([0, 4, 8]);
    expect(found(pieces.map((key) => 131 - key)).map(([first]) => first)).toEqual([0, 4, 8]);
  });

  it("may strike each key once where they turn within an octave, and not where they go one way as a scale does", () => {
    expect(found([60, 67, 65, 64, 64, 71, 69, 67])).toHaveLength(2);
    expect(found([60, 62, 64, 65, 67, 69, 71, 72])).toEqual([]);
    expect(found([60, 72, 64, 67, 60, 72, 65, 69])).toHaveLength(2);
    expect(found([60, 76, 64, 67, 60, 77, 65, 69])).toEqual([]);
  });

  it("are what the hand is set down anew on, but for the first", () => {
    const { onsets } = tasksOf(studyOfKeys([...along([0, 2, 1, 2]), 60]))[0]!.line;
    expect(onsets.filter(({ anew }) => anew).map(({ index }) => index)).toEqual([4, 8]);
  });

  it("are not what the hand is set down anew on where the line goes on by steps in one way", () => {
    const anew = (keys: readonly number[]) =>
      tasksOf(studyOfKeys(keys))[0]!
        .line.onsets.filter(({ anew }) => anew)
        .map(({ index }) => index);
    const turns = [60, 59, 60, 62, 64, 62, 64, 65, 67, 65, 67, 69];
    expect(found(turns)).toHaveLength(3);
    expect(anew(turns)).toEqual([]);
    expect(tasksOf(studyOfKeys(turns))[0]!.line.onsets.filter(({ begins }) => begins)).toHaveLength(2);
    expect(anew([60, 62, 64, 62, 64, 65, 67, 65])).toEqual([4]);
  });

  it("are not parted by a rest, unless rests part the groups as well", () => {
    const parted = (rests: readonly number[]) => {
      let at = 0;
      const notes = along([0, 2, 1, 2]).map((key, i) => {
        if (i > 0 && rests.includes(i % 4)) at += 1;
        return note(`n${i}`, key, `${at++}/4`, "1/4");
      });
      return groupsInOrder(tasksOf(studyOn(passage(notes)))[0]!.line.onsets).map(({ first }) => first);
    };
    expect(parted([])).toEqual([0, 4, 8]);
    expect(parted([1, 2, 3, 0])).toEqual([0, 4, 8]);
    expect(parted([2])).toEqual([]);
  });

  it("begin on a beat", () => {
    expect(found([60, ...along([0, 2, 1, 2])])).toEqual([]);
  });

  it.each([
    ["of two keys, which rock", [60, 64, 60, 64, 62, 65, 62, 65]],
    [
      "of two at a time that go on by steps",
      [
        [60, 64],
        [62, 65],
        [64, 67],
        [65, 69],
        [67, 71],
        [69, 72],
        [71, 74],
        [72, 76],
      ],
    ],
    ["that go back to no key", [60, 64, 67, 72, 62, 65, 69, 74]],
    ["once", [60, 67, 64, 67, 60, 62, 64, 65]],
  ])("are not keys %s", (_, keys) => {
    expect(found(keys)).toEqual([]);
  });
});
