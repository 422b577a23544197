import { z } from "zod";

jest.mock("./connection", () => ({ database: () => ({}) }));
jest.mock("next/headers", () => ({ cookies: () => Promise.resolve({ get: () => ({ value: "Asia%2FTokyo" }) }) }));
jest.mock("./threads/pool", () => ({ TooMuch: class TooMuch extends Error {} }));

import { answering } from "./asking";
import { name, text } from "./text";

const Asked = z.object({ title: name("piece") });
const wrapped = (code: string) => new Error("Failed query", { cause: Object.assign(new Error("inner"), { code }) });

beforeEach(() => jest.spyOn(console, "error").mockImplementation(() => undefined));

describe("every answer of the server", () => {
  it("is given with the player's own zone", async () => {
    const answer = await answering(Asked, { title: "Up" }, ({ zone }) => Promise.resolve({ ok: true, value: zone }));
    expect(answer).toEqual({ ok: true, value: "Asia/Tokyo" });
  });

  it.each([
    ["23503", { ok: false, message: "What this belongs to is not there any more." }],
    ["23514", { ok: false, message: "This cannot be kept as it is." }],
    ["ECONNREFUSED", { ok: false, message: "The database does not answer.", later: true }],
    ["57P01", { ok: false, message: "The database does not answer.", later: true }],
    ["CONNECTION_CLOSED", { ok: false, message: "The database does not answer.", later: true }],
  ])("is a sentence where the database says %s", async (code, expected) => {
    expect(await answering(Asked, { title: "Up" }, () => Promise.reject(wrapped(code)))).toEqual(expected);
  });

  it("is a sentence for what nobody expected, and for whatever is asked", async () => {
    const broken = await answering(Asked, { title: "Up" }, () => Promise.reject(new Error("?")));
    expect(broken).toMatchObject({ ok: false, message: expect.stringContaining("nothing was changed") as string });
    for (const asked of [null, undefined, 7, "x", new Map(), Symbol("s"), { title: Symbol("s") }, { title: ["x"] }])
      expect(await answering(Asked, asked, () => Promise.resolve({ ok: true, value: 1 }))).toMatchObject({ ok: false });
  });
});

describe("a text of a player", () => {
  it("is refused with characters that cannot be kept, and taken with every other", () => {
    const Words = text([20, "Too long."]);
    for (const wrong of ["a\u0000b", "\u0007", "half \ud800", "\uffff"])
      expect(Words.safeParse(wrong).success).toBe(false);
    for (const right of ["", "Übung 𝄞", "two\nlines", "<b>&"]) expect(Words.parse(right)).toBe(right);
    expect(Words.safeParse("x".repeat(21)).success).toBe(false);
  });
});
