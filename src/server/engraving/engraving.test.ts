import type { EngravingErrand } from "../threads/engraving";
import { engraving } from "./engraving";

const errands: EngravingErrand[] = [];
let done: (errand: EngravingErrand) => Promise<readonly string[] | null | "not-engraved">;

jest.mock("../threads/pool", () => ({
  inThread: (_name: string, errand: EngravingErrand) => {
    errands.push(errand);
    return done(errand);
  },
}));

const waiting = () => new AbortController();
const asked = (music: string) => ({ music, width: 800, scale: 40, rows: 1 });

describe("engraving on the server", () => {
  beforeEach(() => {
    errands.length = 0;
  });

  it("is done once for the same music at the same size, and anew for another size", async () => {
    done = ({ asked: { width } }) => Promise.resolve([`${width} px`]);
    const { signal } = waiting();
    expect(await engraving(asked("a"), signal)).toEqual(["800 px"]);
    expect(await engraving(asked("a"), signal)).toEqual(["800 px"]);
    expect(await engraving({ ...asked("a"), width: 500 }, signal)).toEqual(["500 px"]);
    expect(errands).toHaveLength(2);
  });

  it("tells the thread when nobody waits any more, and keeps nothing of it", async () => {
    done = (errand) =>
      new Promise((resolve) => setImmediate(() => resolve(Atomics.load(errand.overtaken, 0) === 0 ? ["whole"] : null)));
    const window = waiting();
    const answer = engraving(asked("b"), window.signal);
    window.abort();
    expect(await answer).toBeNull();
    expect(await engraving(asked("b"), waiting().signal)).toEqual(["whole"]);
  });

  it("does not remember that music could not be drawn", async () => {
    done = () => Promise.resolve("not-engraved");
    expect(await engraving(asked("c"), waiting().signal)).toBe("not-engraved");
    done = () => Promise.resolve(["drawn after all"]);
    expect(await engraving(asked("c"), waiting().signal)).toEqual(["drawn after all"]);
  });
});
