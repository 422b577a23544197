import { isSame, mergedList, mergedRecord, mergedValue } from "./merge";

describe("what two windows made of one value", () => {
  it("is what one of them changed, and mine where both did", () => {
    expect(mergedValue("few", "few", "all")).toBe("all");
    expect(mergedValue("few", "none", "few")).toBe("none");
    expect(mergedValue("few", "none", "all")).toBe("none");
  });

  it("keeps what either added under a name, and loses what either took away", () => {
    const before = { a: 1, b: 2, c: 3 };
    expect(mergedRecord(before, { a: 1, c: 3, mine: 9 }, { a: 7, b: 2, theirs: 8 })).toEqual({
      a: 7,
      mine: 9,
      theirs: 8,
    });
    expect(mergedRecord(before, { ...before, a: 5 }, { b: 2, c: 3 })).toEqual({ a: 5, b: 2, c: 3 });
  });

  it("tells things of a list by what they say, and has none twice", () => {
    const [one, two, three] = [{ at: 1 }, { at: 2 }, { at: 3 }];
    expect(mergedList([one], [one, two], [one, three])).toEqual([one, three, two]);
    expect(mergedList([one, two], [two], [one, two, three])).toEqual([two, three]);
    expect(mergedList([], [{ at: 4 }], [{ at: 4 }])).toEqual([{ at: 4 }]);
  });

  it("does not mind the order of names, but that of a list", () => {
    expect(isSame({ a: 1, b: { c: [1, 2], d: null } }, { b: { d: null, c: [1, 2] }, a: 1 })).toBe(true);
    expect(isSame({ a: [1, 2] }, { a: [2, 1] })).toBe(false);
  });

  it("changes nothing where nobody did, and is mine where the other did nothing", () => {
    const before = { a: [1, 2], b: [3] };
    expect(mergedRecord(before, before, before)).toEqual(before);
    expect(mergedRecord(before, { b: [4] }, before)).toEqual({ b: [4] });
  });
});
