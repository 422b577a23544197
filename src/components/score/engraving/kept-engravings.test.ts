const kept = new Map<string, unknown>();
let isBroken = false;
jest.mock("idb-keyval", () => ({
  createStore: () => ({}),
  get: async (key: string) => {
    await Promise.resolve();
    if (isBroken) throw new Error("This browser keeps nothing.");
    return kept.get(key);
  },
  set: async (key: string, value: unknown) => {
    await Promise.resolve();
    if (isBroken) throw new Error("This browser keeps nothing.");
    kept.set(key, value);
  },
  update: async (key: string, change: (value: unknown) => unknown) => {
    await Promise.resolve();
    kept.set(key, change(kept.get(key)));
  },
  delMany: async (keys: readonly string[]) => {
    await Promise.resolve();
    for (const key of keys) kept.delete(key);
  },
}));

import { keepEngraving, keptEngraving } from "./kept-engravings";

const asked = (music: string) => ({ music, width: 900, scale: 40, rows: 1 }) as Parameters<typeof keptEngraving>[0];
let now = 1000;

beforeAll(() => {
  Object.assign(globalThis, { indexedDB: {} });
  jest.spyOn(Date, "now").mockImplementation(() => now++);
});
beforeEach(() => {
  kept.clear();
  isBroken = false;
});
afterAll(() => jest.restoreAllMocks());

describe("drawings kept in the browser", () => {
  it("are found again by the music and all that bears on its drawing", async () => {
    await keepEngraving(asked("a"), ["<svg/>"]);
    expect(await keptEngraving(asked("a"))).toEqual(["<svg/>"]);
    expect(await keptEngraving(asked("b"))).toBeNull();
    expect(await keptEngraving({ ...asked("a"), width: 901 })).toBeNull();
  });

  it("are sixty at most: the one not used for longest goes, whichever came first", async () => {
    for (let i = 0; i < 60; i++) await keepEngraving(asked(`piece ${i}`), [`${i}`]);
    await keptEngraving(asked("piece 0"));
    await new Promise((resolve) => setTimeout(resolve, 0));
    await keepEngraving(asked("one more"), ["60"]);
    expect(await keptEngraving(asked("piece 0"))).toEqual(["0"]);
    expect(await keptEngraving(asked("piece 1"))).toBeNull();
    expect(await keptEngraving(asked("one more"))).toEqual(["60"]);
    // The drawings, and when each was used.
    expect(kept.size).toBe(61);
  });

  it("are drawn anew where the browser keeps nothing", async () => {
    isBroken = true;
    await expect(keepEngraving(asked("a"), ["<svg/>"])).resolves.toBeUndefined();
    expect(await keptEngraving(asked("a"))).toBeNull();
  });
});
