import { expect, test } from "@playwright/test";
import { getDocument } from "pdfjs-dist/legacy/build/pdf.mjs";
import { engraved } from "./support";

/** The text of each page of a PDF file. */
async function textOf(bytes: Uint8Array): Promise<readonly string[]> {
  const file = await getDocument({ data: bytes, verbosity: 0 }).promise;
  const pages: string[] = [];
  for (let i = 1; i <= file.numPages; i++) {
    const { items } = await (await file.getPage(i)).getTextContent();
    pages.push(items.map((item) => ("str" in item ? item.str : "")).join(" "));
  }
  return pages;
}

test("the sheet: everything for the music desk on the paper that was chosen, and as a PDF file", async ({ page }) => {
  await page.goto("/");
  const bench = (await page.getByRole("link", { name: /^Thirds up to the turn bars/ }).getAttribute("href"))!;
  await page.goto(bench.split("?")[0]!.replace("/bench/", "/sheet/"));
  await engraved(page);
  const sheet = page.getByRole("article", { name: "Sheet" });

  await test.step("it says what is hard, what to drill, what was decided and what its signs mean", async () => {
    for (const part of ["The hardest places", "To drill", "Decided", "Legend"])
      await expect(sheet.getByRole("region", { name: part })).toBeVisible();
    await expect(sheet).toContainText("It stays clear when it is fast.");
    await page.getByLabel("Turn").check();
    await expect(sheet.locator('svg[data-lane="turn"]').first()).toBeVisible();
  });

  await test.step("no note is cut at an edge, on any paper, at any size", async () => {
    for (const [paper, way, size] of [
      ["A4", "stands", "large"],
      ["Letter", "lies", "usual"],
    ] as const) {
      for (const name of [paper, way, size]) await page.getByRole("radio", { name, exact: true }).click();
      await expect(sheet).toHaveAttribute("aria-busy", "false");
      await engraved(page);
      await page.emulateMedia({ media: "print" });
      const outside = await sheet.evaluate((article) => {
        const { left, right } = article.getBoundingClientRect();
        const all = [...article.querySelectorAll("g.notehead, g[data-note] text")];
        return all.map((one) => one.getBoundingClientRect()).filter((box) => box.left < left || box.right > right + 1)
          .length;
      });
      expect(outside).toBe(0);
      await page.emulateMedia({ media: null });
    }
  });

  await test.step("as a PDF file it has the same, on one page that lies", async () => {
    const address = (await page.getByRole("link", { name: "As PDF" }).getAttribute("href"))!;
    const made = await page.request.get(address, { timeout: 90_000 });
    expect(made.headers()["content-type"]).toBe("application/pdf");
    const bytes = new Uint8Array(await made.body());
    const file = await getDocument({ data: Uint8Array.from(bytes), verbosity: 0 }).promise;
    const [, , width, height] = (await file.getPage(1)).view as [number, number, number, number];
    expect([Math.round((width / 72) * 25.4), Math.round((height / 72) * 25.4)]).toEqual([279, 216]);
    const pages = await textOf(bytes);
    expect(pages.length).toBeLessThanOrEqual(3);
    const text = pages.join(" ");
    for (const words of [
      "Thirds up to the turn",
      "The hardest places",
      "It stays clear when it is fast.",
      "What stands here",
    ])
      expect(text).toContain(words);
    // The digits of the option stand in it as text.
    expect(text.match(/\b[1-5]\b/g)!.length).toBeGreaterThan(40);
  });
});

test("side by side prints: every option's digits on the notes, nothing cut at the paper's edge", async ({ page }) => {
  await page.goto("/");
  const bench = (await page.getByRole("link", { name: /^Thirds up to the turn bars/ }).getAttribute("href"))!;
  await page.goto(bench.split("?")[0]!.replace("/bench/", "/side-by-side/"));
  await engraved(page);
  const names = await page
    .getByRole("group", { name: "Fingerings held against one another" })
    .getByRole("button", { pressed: true })
    .allTextContents();
  await page.emulateMedia({ media: "print" });
  for (const name of names) await expect(page.locator(`g[data-layer="${name}"]`).first()).toBeAttached();
  const bytes = await page.pdf({ preferCSSPageSize: true });
  const file = await getDocument({ data: Uint8Array.from(bytes), verbosity: 0 }).promise;
  const first = await file.getPage(1);
  const [, , width] = first.view as [number, number, number, number];
  expect(Math.round((width / 72) * 25.4)).toBe(297);
  const digits = (await first.getTextContent()).items.filter((item) => "str" in item && /^[1-5]$/.test(item.str));
  expect(digits.length).toBeGreaterThan(60);
  const rights = digits.map((item) => ("transform" in item ? (item.transform as number[])[4]! : 0));
  expect(Math.max(...rights)).toBeLessThan(width);
  const notes = await page.locator("g.notehead").count();
  expect(digits.length).toBeGreaterThan(notes * 0.8);
  expect((await textOf(Uint8Array.from(bytes))).join(" ")).toContain("Thirds up to the turn");
});
