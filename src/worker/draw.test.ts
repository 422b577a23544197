import { NotEngraved } from "@/formats/musicxml/engraving/engrave";
import { onceStarted } from "@/formats/musicxml/engraving/start-engraver";
import { drawHere, drawSomehow, drawThere, type Draw } from "./draw";

const ASKED = { music: "a tune", width: 800, scale: 40, rows: 1 };
const here: Draw = () => Promise.resolve(["drawn here"]);
const soon = (): Promise<void> => new Promise((resolve) => setImmediate(resolve));
const nobody = new AbortController().signal;

/** A server that answers as it is told. */
function serverThat(answer: () => Promise<Response>) {
  const asked: { url: string; body: unknown }[] = [];
  global.fetch = ((url: URL, { body }: { body: string }) => {
    asked.push({ url: url.href, body: JSON.parse(body) as unknown });
    return answer();
  }) as unknown as typeof fetch;
  return asked;
}

describe("who draws", () => {
  const { fetch, self } = global;
  beforeAll(() => {
    global.self = { location: { origin: "http://127.0.0.1:3000" } } as unknown as typeof self;
  });
  afterAll(() => {
    global.fetch = fetch;
    global.self = self;
  });

  it("is the server, which is sent the music and all that bears on its drawing", async () => {
    const asked = serverThat(() => Promise.resolve(Response.json(["drawn there"])));
    expect(await drawSomehow(drawThere, here, soon)(ASKED, nobody)).toEqual(["drawn there"]);
    expect(asked).toEqual([{ url: "http://127.0.0.1:3000/engraving", body: ASKED }]);
  });

  it.each([
    ["cannot be reached", () => Promise.reject(new TypeError("fetch failed"))],
    ["is too busy", () => Promise.resolve(Response.json({ message: "Too much." }, { status: 503 }))],
    ["takes no music as long as this", () => Promise.resolve(Response.json({ message: "Too long." }, { status: 413 }))],
    ["answers with something else", () => Promise.resolve(new Response("<html>"))],
  ])("is the window where the server %s", async (_, answer) => {
    serverThat(answer);
    expect(await drawSomehow(drawThere, here, soon)(ASKED, nobody)).toEqual(["drawn here"]);
  });

  it("is nobody where it is the music that cannot be drawn", async () => {
    serverThat(() => Promise.resolve(Response.json({ message: "No." }, { status: 422 })));
    await expect(drawSomehow(drawThere, here, soon)(ASKED, nobody)).rejects.toThrow(NotEngraved);
  });

  it("is nobody where something newer is wanted meanwhile", async () => {
    const overtaken = new AbortController();
    const never: Draw = (_, signal) =>
      new Promise((_, fail) => signal.addEventListener("abort", () => fail(signal.reason as Error)));
    const answer = drawSomehow(never, here, soon)(ASKED, overtaken.signal);
    overtaken.abort();
    expect(await answer).toBeNull();
  });

  it("is who comes back first where neither is there", async () => {
    let asked = 0;
    serverThat(() =>
      ++asked < 4 ? Promise.reject(new TypeError("fetch failed")) : Promise.resolve(Response.json(["at last"])),
    );
    const away = drawHere(() => Promise.reject(new Error("its code did not come")), soon);
    expect(await drawSomehow(drawThere, away, soon)(ASKED, nobody)).toEqual(["at last"]);
    expect(asked).toBe(4);
  });

  it("starts an engraver once, and again where it did not start", async () => {
    const toolkit = {} as never;
    let starts = 0;
    const started = onceStarted(() =>
      ++starts === 1 ? Promise.reject(new Error("no room")) : Promise.resolve(toolkit),
    );
    await expect(started()).rejects.toThrow("no room");
    expect(await Promise.all([started(), started()])).toEqual([toolkit, toolkit]);
    expect(starts).toBe(2);
  });
});
