import { readFileSync } from "node:fs";
import { expect, test } from "@playwright/test";
import { digitsShown, engraved, kept, openOnBench, RUN } from "./support";

test("from a score to the verdict and the marked score", async ({ page }) => {
  const problems: string[] = [];
  page.on("pageerror", (error) => problems.push(error.message));

  await test.step("the hands, with a span for each", async () => {
    await page.goto("/hands");
    await expect(page.getByLabel("Left hand, span on a ruler, mm")).toHaveValue("196");
    await expect(page.getByLabel("Right hand, span on a ruler, mm")).toHaveValue("191");
  });

  await test.step("a passage with two options, strain and causes", async () => {
    await openOnBench(page, { title: "First try" });
    await expect(page.getByRole("radio", { name: /^Option B, [a-z, ]+, strain \d/ })).toBeVisible();
    await expect(page.getByRole("img", { name: "Strain of option B, onset by onset" })).toBeVisible();
    await expect(page.getByRole("region", { name: "Causes of strain" })).toContainText("Bar 1, beat 1");
    expect(Object.keys(await digitsShown(page))).toHaveLength(15);
  });

  await test.step("arrows walk, and the keyboard follows", async () => {
    await page.keyboard.press("ArrowRight");
    await page.keyboard.press("ArrowRight");
    await expect(page.getByRole("img", { name: "Hands on the keys at bar 1, beat 2" })).toBeVisible();
    await expect(page.locator("p[aria-live]")).toHaveText(/^bar 1, beat 2: E 4, right hand, finger \d$/);
    await page.keyboard.press("ArrowLeft");
    await expect(page.locator("p[aria-live]")).toHaveText(/D 4/);
  });

  const before = await digitsShown(page);
  const note = "b1-s1-v1-n2";
  const other = before[note] === "4" ? "3" : "4";

  await test.step("a digit pins, the rest is worked out anew, Backspace lifts", async () => {
    await page.keyboard.press(other);
    await expect(page.locator(`g[data-note="${note}"] text`)).toHaveText(other);
    await expect(page.getByRole("button", { name: `Pin finger ${other}` })).toHaveAttribute("aria-pressed", "true");
    await kept(page);
    expect(await digitsShown(page)).not.toEqual(before);
    await page.keyboard.press("Backspace");
    await expect.poll(() => digitsShown(page)).toEqual(before);
    await kept(page);
  });

  await test.step("undo and redo, also after a reload", async () => {
    await page.keyboard.press("Control+z");
    await expect(page.locator(`g[data-note="${note}"] text`)).toHaveText(other);
    await kept(page);
    await page.reload();
    await engraved(page);
    await expect(page.locator(`g[data-note="${note}"] text`)).toHaveText(other);
    await page.getByRole("button", { name: "Undo" }).click();
    await expect.poll(() => digitsShown(page)).toEqual(before);
    await expect(page.getByRole("button", { name: "Undo" })).toBeDisabled();
    await page.keyboard.press("Control+Shift+z");
    await expect(page.locator(`g[data-note="${note}"] text`)).toHaveText(other);
    await kept(page);
  });

  await test.step("side by side, one is taken with a reason, and all is there after a reload", async () => {
    await page.getByRole("link", { name: "Side by side" }).click();
    await engraved(page);
    await expect(page.getByText(/They differ on \d+ of 15 notes/)).toBeVisible();
    await page.getByRole("button", { name: "Next difference" }).click();
    await page.getByRole("button", { name: "Take it" }).click();
    await expect(page.getByRole("alert").filter({ hasText: "Choose the option" })).toBeVisible();
    await page.getByRole("radio", { name: "Take option A" }).click();
    await page.getByLabel("Why").fill("It keeps the hand closed over the join.");
    await page.getByRole("button", { name: "Take it" }).click();
    await expect(page.getByRole("region", { name: "Verdict" })).toContainText("Option A is taken.");
    await page.reload();
    await expect(page.getByRole("region", { name: "Verdict" })).toContainText(
      "It keeps the hand closed over the join.",
    );
    await page.getByRole("button", { name: "Reopen" }).click();
    await expect(page.getByRole("list", { name: "Earlier verdicts" })).toContainText("A taken");
  });

  await test.step("the exported file is the imported one with the digits in it", async () => {
    await page.getByRole("link", { name: "Bench" }).click();
    await page.waitForURL(/bench/);
    await expect.poll(async () => Object.keys(await digitsShown(page)).length).toBe(15);
    const shown = await digitsShown(page);
    const [download] = await Promise.all([
      page.waitForEvent("download"),
      page.getByRole("link", { name: "Export A" }).click(),
    ]);
    const text = readFileSync((await download.path())!, "utf8");
    const written = [...text.matchAll(/<fingering placement="above">(\d)<\/fingering>/g)].map((m) => m[1]);
    expect(written).toEqual(
      Object.keys(shown)
        .sort(byName)
        .map((id) => shown[id]),
    );
    expect(
      text.replace(/<notations><technical><fingering placement="above">\d<\/fingering><\/technical><\/notations>/g, ""),
    ).toBe(RUN);
  });

  expect(problems).toEqual([]);
});

function byName(a: string, b: string): number {
  return a.localeCompare(b, "en", { numeric: true });
}
