import { pendingIn } from "./pending";

interface Letter {
  readonly id: string;
  readonly text: string;
}

beforeEach(() => localStorage.clear());

describe("what is on its way to the server", () => {
  it("is there again after the window was closed, in its order, until it is answered", () => {
    const before = pendingIn<Letter>("a passage");
    before.put({ id: "1", text: "one" });
    before.put({ id: "2", text: "two" });
    before.put({ id: "1", text: "one, changed" });
    const after = pendingIn<Letter>("a passage");
    expect(after.all().map((l) => l.text)).toEqual(["one, changed", "two"]);
    after.remove("1");
    expect(before.all().map((l) => l.id)).toEqual(["2"]);
    expect(pendingIn<Letter>("another").all()).toEqual([]);
  });

  it("is empty where what is kept cannot be read, and says so where nothing can be kept", () => {
    localStorage.setItem("velvet-thumb-pending a passage", "{ broken");
    expect(pendingIn<Letter>("a passage").all()).toEqual([]);
    const full = jest.spyOn(Storage.prototype, "setItem").mockImplementation(() => {
      throw new Error("full");
    });
    expect(pendingIn<Letter>("a passage").put({ id: "1", text: "one" })).toBe(false);
    full.mockRestore();
  });
});
