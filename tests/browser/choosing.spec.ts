import { expect, test } from "@playwright/test";
import { noteXml, scoreXml } from "../support/musicxml";
import { engraved, openOnBench } from "./support";

/** Two octaves of the black keys and a part of the way back, on which hands may be set in several ways. */
const UP = ["Gb4", "Ab4", "Bb4", "Db5", "Eb5", "Gb5", "Ab5", "Bb5", "Db6", "Eb6", "Gb6"];
const KEYS = [...UP, "Eb6", "Db6", "Bb5", "Ab5"];
const PRINTED = "<notations><technical><fingering>3</fingering></technical></notations>";
const PENTATONIC = scoreXml([
  KEYS.map((key, i) => noteXml(key, { length: 3, ...(i === 0 ? { notations: PRINTED } : {}) })).join(""),
]);

test("two to four fingerings are held against one another, tried until a day, taken and looked at again", async ({
  page,
}) => {
  await openOnBench(page, { title: "To be chosen", bars: [1, 1], text: PENTATONIC });
  const bench = page.url();
  await page.getByRole("link", { name: "Side by side" }).click();
  await engraved(page);

  await test.step("figures of merit, with the better one marked and the difference in words", async () => {
    const table = page.getByRole("table", { name: /^Figures of merit/ });
    await expect(table.getByRole("row", { name: /^Strain, an onset on average/ })).toContainText(/more|less|the same/);
    await expect(table.getByRole("row", { name: /^Widest opening/ })).toContainText(/\d+ mm/);
    await expect(table.getByText("(better)").first()).toBeAttached();
  });

  await test.step("strain against tempo says which is easiest where", async () => {
    await expect(page.getByRole("img", { name: /^Strain against tempo/ })).toBeVisible();
    await expect(page.getByText(/strains least at every tempo|Easiest first: below ♩ = \d+/).first()).toBeVisible();
    await expect(page.getByRole("figure", { name: /What it is made of/ })).toBeVisible();
  });

  await test.step("a third one joins, and its digits stand outside the others", async () => {
    await page.getByRole("button", { name: /^Option C/ }).click();
    await expect(page.locator(`g[data-layer="C"]`)).toHaveCount(KEYS.length);
    await expect(page).toHaveURL(/options=A,B,C/);
    await expect(page.getByText(/From the notes outwards: A, B, C/)).toBeVisible();
    await page.keyboard.press("ArrowRight");
    await expect(page).toHaveURL(/note=b/);
  });

  await test.step("left open until a day, with what to try each day, and due on the front place", async () => {
    await page.getByRole("button", { name: "Leave it open until then" }).click();
    const plan = page.getByRole("list", { name: "What to try until then" });
    await expect(plan.getByText("Today")).toBeVisible();
    await expect(plan).toContainText(/♩ = \d+, snips of two to five notes/);
    await page.goto("/");
    await expect(page.getByRole("region", { name: "What is due" })).toContainText("To be chosen");
    await page
      .getByRole("region", { name: "What is due" })
      .getByRole("link", { name: /^To be chosen/ })
      .click();
    await engraved(page);
  });

  await test.step("the price in learning, taken with reason and author, due again after practice, reopened", async () => {
    const price = page.getByRole("region", { name: "Price in learning" });
    await expect(price).toContainText(new RegExp(`\\d+ of ${KEYS.length} fingers`));
    await page.getByLabel("In the fingers now").selectOption("B");
    await expect(price).toContainText("in the fingers: nothing new");
    await page.getByRole("radio", { name: "Take option A" }).click();
    await page.getByLabel("Why").fill("Closed hand at the join.");
    await page.reload();
    await expect(page.getByLabel("Why")).toHaveValue("Closed hand at the join.");
    await page.getByLabel("Whose word").fill("my teacher");
    await page.getByLabel("Review after, practice days").fill("1");
    await page.getByRole("button", { name: "Take it" }).click();
    const verdict = page.getByRole("region", { name: "Verdict" });
    await expect(verdict).toContainText("my teacher");
    await verdict.getByRole("button", { name: "Practised today" }).click();
    await expect(verdict).toContainText("time to look at it again");
    await page.goto("/");
    await expect(page.getByRole("region", { name: "What is due" })).toContainText(
      "A to be looked at again after 1 practice day",
    );
    await page.goto(bench.replace("/bench/", "/side-by-side/"));
    await verdict.getByRole("button", { name: /keep it/ }).click();
    await expect(verdict).toContainText("to be looked at again after 1 more");
    await verdict.getByRole("button", { name: "Reopen" }).click();
    await expect(page.getByRole("list", { name: "Earlier verdicts" })).toContainText(
      "A taken, Closed hand at the join.",
    );
  });
});

test("what was done without a connection survives a closed window", async ({ page, context }) => {
  await openOnBench(page, { title: "Offline" });
  const bench = page.url();
  await context.setOffline(true);
  await page.keyboard.press("5");
  await expect(page.locator(`g[data-note="b1-s1-v1-n1"] text`)).toHaveText("5");
  await expect(page.getByRole("status").filter({ hasText: "Not kept yet" })).toBeVisible();
  await page.keyboard.press("ArrowRight");
  await page.keyboard.press("4");
  await expect(page.locator(`g[data-note="b1-s1-v1-n2"] text`)).toHaveText("4");
  await page.close();
  await context.setOffline(false);
  const again = await context.newPage();
  await again.goto(bench);
  await engraved(again);
  await expect(again.locator(`g[data-note="b1-s1-v1-n1"] text`)).toHaveText("5");
  await expect(again.locator(`g[data-note="b1-s1-v1-n2"] text`)).toHaveText("4");
  await expect(again.getByRole("status").filter({ hasText: /^Kept$/ })).toBeVisible();
  await again.waitForFunction(() => Object.keys(localStorage).every((key) => !key.includes("pending")));
  await again.keyboard.press("Control+z");
  await expect(again.locator(`g[data-note="b1-s1-v1-n2"] text [data-sign="pinned"]`)).toHaveCount(0);
  const other = await context.newPage();
  await other.goto(bench);
  await engraved(other);
  await expect(other.locator(`g[data-note="b1-s1-v1-n1"] text`)).toHaveText("5");
});

test("what is asked of a passage and of its plan without a connection is sent when there is one", async ({
  page,
  context,
}) => {
  await openOnBench(page, { title: "Asked offline" });
  const bench = page.url();
  await page.getByRole("tab", { name: "Rules" }).click();
  await context.setOffline(true);
  await page.getByLabel(/thumb on black/i).check();
  await page.getByRole("tab", { name: "Hand plan" }).click();
  await page.getByLabel("A joint caves in").check();
  await expect(page.getByRole("status").filter({ hasText: "Not kept yet" })).toBeVisible();
  await page.close();
  await context.setOffline(false);
  const again = await context.newPage();
  await again.goto(bench);
  await engraved(again);
  await again.waitForFunction(() => Object.keys(localStorage).every((key) => !key.includes("pending")));
  // Kept on the server, not only in this browser: what the browser kept is forgotten, and the page made anew.
  await again.evaluate(() => localStorage.clear());
  await again.goto(`${bench.split("?")[0]}?build=rules`);
  await engraved(again);
  await expect(again.getByLabel(/thumb on black/i)).toBeChecked();
  await again.getByRole("tab", { name: "Hand plan" }).click();
  await expect(again.getByLabel("A joint caves in")).toBeChecked();
});
