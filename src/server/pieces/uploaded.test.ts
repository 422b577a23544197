jest.mock("../threads/pool", () => ({ TooMuch: class TooMuch extends Error {} }));
jest.mock("next/headers", () => ({}));

import { LARGEST_FILE } from "@/formats/musicxml/reading/open";
import { uploaded } from "./uploaded";

/** A request whose body comes in pieces, without a length said beforehand. */
function coming(parts: Iterable<Uint8Array>, type = "multipart/form-data; boundary=x") {
  const all = parts[Symbol.iterator]();
  let taken = 0;
  const body = new ReadableStream<Uint8Array>({
    pull(controller) {
      const next = all.next();
      if (next.done) return controller.close();
      taken += next.value.length;
      controller.enqueue(next.value);
    },
  });
  const init: RequestInit & { duplex: "half" } = {
    method: "POST",
    body,
    duplex: "half",
    headers: { "content-type": type, host: "127.0.0.1" },
  };
  return { request: new Request("http://127.0.0.1/import", init), taken: () => taken };
}

const bytes = (text: string): Uint8Array => new TextEncoder().encode(text);
const HEAD = bytes(`--x\r\ncontent-disposition: form-data; name="file"; filename="Übung.xml"\r\n\r\n`);

describe("a file that comes with a request", () => {
  it("is taken with its name, however it is cut up", async () => {
    const { request } = coming([HEAD.subarray(0, 20), HEAD.subarray(20), bytes("<a/>"), bytes("\r\n--x--\r\n")]);
    const answer = await uploaded(request);
    expect(answer).toMatchObject({ ok: true, file: { name: "Übung.xml" } });
    expect(answer.ok && new TextDecoder().decode(answer.file.bytes)).toBe("<a/>");
  });

  it("is refused while it comes, as soon as it is too large, whatever it says of its length", async () => {
    const piece = new Uint8Array(1024 * 1024);
    const { request, taken } = coming(
      (function* () {
        yield HEAD;
        for (let i = 0; i < 200; i++) yield piece;
      })(),
    );
    const answer = await uploaded(request);
    expect(answer.ok ? 200 : answer.refusal.status).toBe(413);
    expect(taken()).toBeLessThan(2 * LARGEST_FILE);
  });

  it.each([
    ["no form", coming([bytes("{}")], "application/json")],
    ["a form without a boundary", coming([bytes("x")], "multipart/form-data")],
    ["a form that breaks off", coming([HEAD.subarray(0, 30)])],
    ["a form without a file", coming([bytes(`--x\r\ncontent-disposition: form-data; name="a"\r\n\r\nb\r\n--x--\r\n`)])],
  ])("is missed in %s", async (_what, { request }) => {
    const answer = await uploaded(request);
    expect(answer.ok ? 200 : answer.refusal.status).toBe(400);
    expect(answer.ok ? "" : ((await answer.refusal.json()) as { message: string }).message).toMatch(/^No file/);
  });
});
