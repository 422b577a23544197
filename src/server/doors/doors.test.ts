import { isLoopback, strangerIn } from "./origin";
import { knock } from "./passphrase";
import { contentPolicy } from "./policy";
import { isLetIn, newSession } from "./session";

const from = (headers: Record<string, string>) => new Headers({ host: "127.0.0.1:3000", ...headers });

afterEach(() => {
  delete process.env["VELVET_PASSPHRASE"];
  delete (globalThis as { velvetAttempts?: unknown }).velvetAttempts;
});

describe("where a request comes from", () => {
  it.each([
    ["another page", { origin: "http://elsewhere.example" }],
    ["another port of this machine", { origin: "http://127.0.0.1:9999" }],
    ["a page without an origin", { origin: "null" }],
    ["a page that says only that it is another", { "sec-fetch-site": "cross-site" }],
  ])("is refused to change anything from %s", (_what, headers) => {
    expect(strangerIn("POST", from(headers))).toMatch(/refused/);
    expect(strangerIn("GET", from(headers))).toBeNull();
  });

  it("may change things from our own page, and from what is no browser", () => {
    expect(strangerIn("POST", from({ origin: "http://127.0.0.1:3000" }))).toBeNull();
    expect(strangerIn("POST", from({ "sec-fetch-site": "same-origin" }))).toBeNull();
    expect(strangerIn("POST", from({}))).toBeNull();
  });

  it("is this machine by its own names alone", () => {
    for (const host of ["localhost", "localhost:3000", "127.0.0.1:80", "127.8.0.1", "[::1]:3000"])
      expect(isLoopback(host)).toBe(true);
    for (const host of ["elsewhere.example", "localhost.example:3000", "127.0.0.1.example", "192.168.0.2", ""])
      expect(isLoopback(host)).toBe(false);
  });
});

describe("the passphrase", () => {
  it("opens where it is right, and never where none is set", async () => {
    expect(await knock("", "one")).toBe("wrong");
    process.env["VELVET_PASSPHRASE"] = "soft felt under green";
    expect(await knock("soft felt", "one")).toBe("wrong");
    expect(await knock("soft felt under green", "one")).toBe("open");
  });

  it("may be tried some times from one address, and then not even with the right word", async () => {
    process.env["VELVET_PASSPHRASE"] = "soft felt under green";
    const answers = [];
    for (let i = 0; i < 7; i++) answers.push(await knock(`guess ${i}`, "guesser"));
    expect(answers).toEqual([...Array.from({ length: 6 }, () => "wrong"), "too-often"]);
    expect(await knock("soft felt under green", "guesser")).toBe("too-often");
    expect(await knock("soft felt under green", "player")).toBe("open");
  });

  it("makes a session that holds until another is set, and cannot be made up", async () => {
    process.env["VELVET_PASSPHRASE"] = "soft felt under green";
    const session = await newSession();
    expect(await isLetIn(session)).toBe(true);
    for (const wrong of [undefined, "", "made up", `${session.slice(0, -4)}AAAA`])
      expect(await isLetIn(wrong)).toBe(false);
    process.env["VELVET_PASSPHRASE"] = "another";
    expect(await isLetIn(session)).toBe(false);
  });
});

describe("what a page may run", () => {
  it("is its own scripts by their nonce, in no frame, and nothing of anybody else's", () => {
    const policy = contentPolicy("abc", false);
    expect(policy).toContain("script-src 'self' 'nonce-abc' 'strict-dynamic' 'wasm-unsafe-eval';");
    expect(policy).toContain("frame-ancestors 'none'");
    expect(policy).not.toMatch(/script-src[^;]*unsafe-inline|'unsafe-eval'|https?:|\*/);
    expect(contentPolicy("abc", true)).toContain("'unsafe-eval'");
  });
});
