import { readFileSync } from "node:fs";
import { expect, test } from "@playwright/test";
import { digitsShown, engraved, kept, openOnBench } from "./support";

let problems: string[] = [];
test.beforeEach(({ page }) => {
  problems = [];
  page.on("pageerror", (error) => problems.push(error.message));
});
test.afterEach(() => expect(problems).toEqual([]));

test("one gesture a thought: a stretch, an option pointed at, what would lower a place", async ({ page }) => {
  await openOnBench(page, { title: "Gestures" });
  const score = page.getByRole("group", { name: /^Score/ });

  await test.step("Shift and the arrows choose a stretch, Enter pins it, undo takes all of it back", async () => {
    for (let i = 0; i < 3; i++) await page.keyboard.press("Shift+ArrowRight");
    const bar = page.getByRole("group", { name: "The stretch chosen" });
    await expect(bar).toContainText("4 notes chosen");
    await page.keyboard.press("Enter");
    await kept(page);
    await expect(score.locator(`[data-sign="pinned"]`)).toHaveCount(4);
    await bar.getByRole("button", { name: "Clear pins" }).click();
    await expect(score.locator(`[data-sign="pinned"]`)).toHaveCount(0);
    await kept(page);
    await page.keyboard.press("Control+z");
    await expect(score.locator(`[data-sign="pinned"]`)).toHaveCount(4);
    await kept(page);
    await page.reload();
    await engraved(page);
    await page.keyboard.press("Control+z");
    await expect(score.locator(`[data-sign="pinned"]`)).toHaveCount(0);
    await kept(page);
  });

  await test.step("pointing at an option shows its digits, leaving it shows those in force", async () => {
    const inForce = await digitsShown(page, "A");
    expect(Object.keys(inForce)).toHaveLength(15);
    await page.getByRole("radio", { name: /^Option B/ }).hover();
    await expect.poll(async () => Object.keys(await digitsShown(page, "B")).length).toBe(15);
    await expect(page.getByRole("radio", { name: /^Option A/ })).toBeChecked();
    await score.hover();
    await expect.poll(() => digitsShown(page, "A")).toEqual(inForce);
  });

  await test.step("what would lower a place can be pinned at once", async () => {
    for (let i = 0; i < 15; i++) {
      const ways = page.getByRole("list", { name: "What would lower it" });
      await page.waitForTimeout(400);
      if (await ways.isVisible()) {
        await ways.getByRole("button").first().click();
        break;
      }
      await page.keyboard.press("ArrowRight");
    }
    await expect(score.locator(`[data-sign="pinned"]`)).toHaveCount(1);
    await kept(page);
    await page.keyboard.press("Control+z");
    await kept(page);
  });

  await test.step("a finger is pinned whatever was clicked before: an option, the tempo", async () => {
    for (const control of [
      page.getByRole("radio", { name: /^Option A/ }),
      page.getByRole("slider", { name: /^Tempo/ }),
    ]) {
      await control.click();
      await expect(control).toBeFocused();
      await page.keyboard.press("3");
      await expect(score.locator(`[data-sign="pinned"]`)).toHaveCount(1);
      await kept(page);
      await page.keyboard.press("Backspace");
      await expect(score.locator(`[data-sign="pinned"]`)).toHaveCount(0);
      await kept(page);
    }
  });
});

test("one gesture a thought: tempo and sound", async ({ page }) => {
  await openOnBench(page, { title: "Tempo and sound" });
  const score = page.getByRole("group", { name: /^Score/ });

  await test.step("strain and the best option follow the tempo", async () => {
    const slider = page.getByRole("slider", { name: /^Tempo/ });
    const target = Number(await slider.getAttribute("aria-valuenow"));
    const at = async () => (await page.getByRole("radio", { name: /^Option A/ }).textContent())!;
    const before = await at();
    await slider.focus();
    await page.keyboard.press("End");
    const fast = Number(await slider.getAttribute("aria-valuenow"));
    expect(fast).toBeGreaterThan(target);
    await expect.poll(at).not.toBe(before);
    await expect(page.getByText(new RegExp(`^At ♩ = ${fast} [A-Z] strains least`))).toBeVisible();
    await expect(page).toHaveURL(new RegExp(`tempo=${fast}`));
    await page.getByRole("button", { name: `Make ♩ = ${fast} the target` }).click();
    await expect(page.getByText(new RegExp(`♩ = ${fast}, legato`))).toBeVisible();
  });

  await test.step("it is heard from here, the hands go with it, and it stops", async () => {
    await page.getByRole("button", { name: "Count in" }).click();
    await page.keyboard.press("Home");
    const place = () => page.getByRole("img", { name: /^Hands on the keys/ }).getAttribute("aria-label");
    await score.click({ position: { x: 5, y: 5 } });
    const before = await place();
    await page.keyboard.press("h");
    await expect(page.getByRole("button", { name: "Stop" })).toBeVisible();
    await expect.poll(place, { intervals: [50] }).not.toBe(before);
    await expect(page.locator(`[data-moving="true"]`)).toBeAttached();
    await page.keyboard.press("h");
    await expect(page.getByRole("button", { name: "Hear", exact: true })).toBeVisible();
    await expect.poll(place).toBe(before);
  });

  await test.step("a stretch is heard round and round, and nothing outside it", async () => {
    for (const key of ["Home", "Shift+ArrowRight", "Shift+ArrowRight"]) await page.keyboard.press(key);
    await page.getByRole("button", { name: "Loop" }).click();
    const seen: string[] = [];
    const place = () => page.getByRole("img", { name: /^Hands on the keys/ }).getAttribute("aria-label");
    await page.getByRole("button", { name: "Hear", exact: true }).click();
    for (let i = 0; i < 80; i++) {
      const now = (await place())!;
      if (seen.at(-1) !== now) seen.push(now);
      await page.waitForTimeout(25);
    }
    expect(new Set(seen).size).toBe(3);
    // It came back to where it began more than once.
    expect(seen.filter((each) => each === seen[0]).length).toBeGreaterThan(1);
    await page.getByRole("button", { name: "Stop" }).click();
    await page.getByRole("button", { name: "Loop" }).click();
    await page.keyboard.press("Escape");
  });
});

test("one gesture a thought: what is shown, and what the other hand takes", async ({ page }) => {
  await openOnBench(page, { title: "Looks" });

  await test.step("only digits in doubt, on the score and in the file", async () => {
    await page.getByRole("button", { name: "View" }).click();
    await page.getByRole("radio", { name: "Only in doubt" }).click();
    await page.keyboard.press("Escape");
    await expect.poll(async () => Object.keys(await digitsShown(page)).length).toBeLessThan(15);
    const shown = Object.keys(await digitsShown(page)).length;
    const [download] = await Promise.all([
      page.waitForEvent("download"),
      page.getByRole("link", { name: "Export A" }).click(),
    ]);
    const text = readFileSync((await download.path())!, "utf8");
    // The third bar, with its printed digit, is not of the passage.
    expect(text.match(/<fingering/g)!.length - 1).toBe(shown);
  });

  await test.step("larger and smaller, and a key that shows all keys", async () => {
    const width = async () => (await page.locator(".engraving g.notehead").first().boundingBox())?.width ?? 0;
    const usual = await width();
    await page.keyboard.press("+");
    await expect.poll(width).toBeGreaterThan(usual * 1.1);
    await page.keyboard.press("-");
    await expect.poll(async () => Math.abs((await width()) - usual)).toBeLessThan(usual * 0.05);
    await page.keyboard.press("?");
    const dialog = page.getByRole("dialog", { name: "Keys of the Bench" });
    await expect(dialog).toContainText("rule that finger out");
    await dialog.getByRole("button", { name: "Close" }).click();
  });

  await test.step("the other hand takes a note, and gives it back", async () => {
    await page.keyboard.press("o");
    await expect(page.locator(`[data-taken="left"]`)).toBeAttached();
    await page.getByRole("button", { name: "Undo", exact: true }).last().click();
    await expect(page.locator("[data-taken]")).toHaveCount(0);
  });

  await test.step("what the other hand took is undone and done again after the page was opened anew", async () => {
    await page.keyboard.press("o");
    await expect(page.locator(`[data-taken="left"]`)).toBeAttached();
    await kept(page);
    await page.reload();
    await engraved(page);
    await page.keyboard.press("Control+z");
    await expect(page.locator("[data-taken]")).toHaveCount(0);
    await page.keyboard.press("Control+y");
    await expect(page.locator(`[data-taken="left"]`)).toBeAttached();
    await page.keyboard.press("Control+z");
    await expect(page.locator("[data-taken]")).toHaveCount(0);
  });
});

test("a stretch is tied to where it returns, and untied", async ({ page }) => {
  await page.goto("/");
  await page.getByRole("link", { name: /^The figure in four keys/ }).click();
  await engraved(page);
  for (let i = 0; i < 7; i++) await page.keyboard.press("Shift+ArrowRight");
  await page.keyboard.press("t");
  await expect(page.getByText(/^Tied to bar 2, beat 1/)).toBeVisible();
  const same = async (): Promise<boolean> => {
    const digits = await digitsShown(page);
    return [1, 2, 3, 4, 5, 6, 7, 8].every((n) => digits[`b1-s1-v1-n${n}`] === digits[`b2-s1-v1-n${n}`]);
  };
  await expect.poll(same).toBe(true);
  await expect(page.locator(`[data-figure][data-tied="true"]`).first()).toBeAttached();
  await page.reload();
  await engraved(page);
  expect(await same()).toBe(true);
  await page.keyboard.press("t");
  await expect(page.getByText("Untied.")).toBeVisible();
  await expect.poll(same).toBe(false);
});

test("a touched note brings five fingers to where the thumb is", async ({ browser, baseURL }) => {
  const context = await browser.newContext({
    hasTouch: true,
    viewport: { width: 820, height: 1180 },
    baseURL: baseURL!,
  });
  const page = await context.newPage();
  await openOnBench(page, { title: "By touch" });
  const note = page.locator(`g.note[id="b1-s1-v1-n3"] .notehead`).first();
  await note.tap();
  const pad = page.getByRole("group", { name: "Finger for the note touched" });
  const [at, touched] = [(await pad.boundingBox())!, (await note.boundingBox())!];
  expect(Math.abs(at.y - touched.y)).toBeLessThan(120);
  expect(at.height).toBeGreaterThanOrEqual(44);
  await pad.getByRole("button", { name: "Pin finger 5" }).tap();
  await expect(page.locator(`g[data-note="b1-s1-v1-n3"] text`)).toHaveText("5");
  await pad.getByRole("button", { name: "Close" }).tap();
  await expect(pad).toBeHidden();
  await context.close();
});

test("one hand of two alone on the score", async ({ page }) => {
  await page.goto("/");
  await page.getByRole("link", { name: /^Broken chords, four octaves/ }).click();
  await engraved(page);
  const staves = async () => new Set(Object.keys(await digitsShown(page)).map((id) => id.split("-")[1]));
  expect(await staves()).toEqual(new Set(["s1", "s2"]));
  await page.getByRole("button", { name: "View" }).click();
  await page.getByRole("radio", { name: "Left", exact: true }).click();
  await expect.poll(staves).toEqual(new Set(["s2"]));
  await page.getByRole("radio", { name: "Both", exact: true }).click();
  await expect.poll(staves).toEqual(new Set(["s1", "s2"]));
});
