import { counted, often } from "./counted";

describe("a number with its word", () => {
  it.each([
    [0, "0 days"],
    [1, "1 day"],
    [1.2, "1 day"],
    [7, "7 days"],
  ])("%d is said as %s", (count, said) => {
    expect(counted(count, "day")).toBe(said);
  });

  it("takes the word for several where an s does not make it", () => {
    expect(counted(3, "pass", "passes")).toBe("3 passes");
    expect(counted(1, "pass", "passes")).toBe("1 pass");
  });

  it("says how often", () => {
    expect([1, 2, 5].map(often)).toEqual(["once", "twice", "5 times"]);
  });
});
