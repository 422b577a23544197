import { expect, test, type Page } from "@playwright/test";
import { engraved, openOnBench } from "./support";

/** The engraver alone is many times what any page loads beside it. */
const ENGRAVERS_BYTES = 5_000_000;

const drawn = (page: Page): Promise<readonly string[]> =>
  page.locator(".engraving g.note").evaluateAll((notes) =>
    notes.map((note) => {
      const { x, y } = note.getBoundingClientRect();
      return `${note.id} ${Math.round(x)} ${Math.round(y + window.scrollY)}`;
    }),
  );

test("music is engraved by the server for every window, and by the window where the server does not", async ({
  page,
  browser,
}) => {
  const largest = { bytes: 0 };
  page.on("response", (response) => {
    void response.headerValue("content-length").then((length) => {
      largest.bytes = Math.max(largest.bytes, Number(length ?? 0));
    });
  });
  const asked = page.waitForResponse((response) => response.url().endsWith("/engraving"));
  await openOnBench(page, { title: "Engraved there and here" });
  await engraved(page);
  expect((await asked).status()).toBe(200);
  expect(largest.bytes).toBeLessThan(ENGRAVERS_BYTES);

  const alone = await browser.newContext({ viewport: page.viewportSize() });
  try {
    await alone.route("**/engraving", (route) => route.abort());
    const other = await alone.newPage();
    await other.goto(page.url());
    await engraved(other);
    expect(await drawn(other)).toEqual(await drawn(page));
    expect((await drawn(page)).length).toBeGreaterThan(10);
  } finally {
    await alone.close();
  }
});

test("what cannot be engraved is refused in a sentence", async ({ request }) => {
  const refusal = async (data: unknown): Promise<readonly [number, string]> => {
    const answer = await request.post("/engraving", { data });
    return [answer.status(), ((await answer.json()) as { message: string }).message];
  };
  const size = { width: 800, scale: 50, rows: 1 };
  expect(await refusal({ ...size, music: "no music at all" })).toEqual([422, "The music could not be engraved."]);
  expect(await refusal({ ...size, music: "" })).toEqual([400, "No music came that can be engraved."]);
  expect(await refusal({ ...size, music: "<score-partwise/>", width: -1 })).toEqual([
    400,
    "No music came that can be engraved.",
  ]);
});
