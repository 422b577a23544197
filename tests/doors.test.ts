jest.mock("@/server/threads/pool", () => ({ TooMuch: class TooMuch extends Error {} }));
jest.mock("next/headers", () => ({}));

import { NextRequest } from "next/server";
import { proxy } from "@/proxy";
import { newSession, SESSION_COOKIE } from "@/server/doors/session";
import { uploaded } from "@/server/pieces/uploaded";

const ask = (path: string, { method = "GET", ...headers }: Record<string, string> = {}) =>
  proxy(
    new NextRequest(`http://velvet.example:3000${path}`, { method, headers: { host: "127.0.0.1:3000", ...headers } }),
  );

afterEach(() => delete process.env["VELVET_PASSPHRASE"]);

describe("the door", () => {
  it("lets this machine in and puts a policy with a nonce of its own on every page", async () => {
    const [one, other] = [await ask("/"), await ask("/hands")];
    expect(one.status).toBe(200);
    const nonce = (response: Response) => /'nonce-([^']+)'/.exec(response.headers.get("content-security-policy")!)![1];
    expect(nonce(one)).not.toBe(nonce(other));
    expect(one.headers.get("x-content-type-options")).toBe("nosniff");
    expect(one.headers.get("referrer-policy")).toBe("no-referrer");
  });

  it("refuses every other name while no passphrase is set, and says so", async () => {
    const answer = await ask("/", { host: "192.168.0.7:3000" });
    expect(answer.status).toBe(403);
    expect(((await answer.json()) as { message: string }).message).toMatch(/VELVET_PASSPHRASE/);
  });

  it("refuses a route handler asked from another page as it does an action", async () => {
    const answer = await ask("/door/knock", { method: "POST", origin: "http://elsewhere.example" });
    expect(answer.status).toBe(403);
    expect((await ask("/door/knock", { method: "POST", origin: "http://127.0.0.1:3000" })).status).toBe(200);
    // Files do not come by the proxy; what takes them in asks the door itself.
    const file = (headers: Record<string, string>) =>
      uploaded(new Request("http://127.0.0.1:3000/import", { method: "POST", body: new FormData(), headers }));
    const here = { host: "127.0.0.1:3000" };
    const status = (answered: Awaited<ReturnType<typeof uploaded>>) => (answered.ok ? 200 : answered.refusal.status);
    expect(status(await file({ ...here, origin: "http://elsewhere.example" }))).toBe(403);
    expect(status(await file({ host: "elsewhere.example" }))).toBe(403);
    expect(status(await file({ ...here, origin: "http://127.0.0.1:3000" }))).toBe(400);
  });

  it("asks others for the passphrase, shows them the door, and lets in who has said it", async () => {
    process.env["VELVET_PASSPHRASE"] = "soft felt under green";
    const host = "192.168.0.7:3000";
    const shown = await ask("/bench/x", { host });
    expect([shown.status, shown.headers.get("location")]).toEqual([307, "http://192.168.0.7:3000/door"]);
    expect((await ask("/bench/x", { host, method: "POST" })).status).toBe(401);
    expect((await ask("/door", { host })).status).toBe(200);
    const cookie = `${SESSION_COOKIE}=${await newSession()}`;
    expect((await ask("/bench/x", { host, cookie })).status).toBe(200);
  });
});
