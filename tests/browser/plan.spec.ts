import { readFileSync } from "node:fs";
import { expect, test, type Locator } from "@playwright/test";
import { engraved, kept } from "./support";

test("the hand plan: lanes, warnings, slow motion, signs, tune and touch, kept and in the file", async ({ page }) => {
  const problems: string[] = [];
  page.on("pageerror", (error) => problems.push(error.message));
  await page.goto("/");
  await page.getByRole("link", { name: /^Tune held over the leaves/ }).click();
  await engraved(page);
  await page.getByRole("tab", { name: "Hand plan" }).click();
  const lanes = page.locator("svg[data-lane]");

  await test.step("lanes stand under the score, aligned to its onsets, and can be folded", async () => {
    await expect(lanes).toHaveCount(3);
    const middle = async (place: Locator): Promise<number> => {
      const box = await place.boundingBox();
      return box ? box.x + box.width / 2 : NaN;
    };
    const head = page.locator(`g.note[id="b1-s1-v2-n2"] .notehead`).first();
    const second = page.locator(`svg[data-lane="turn"] circle`).nth(1);
    await expect.poll(async () => Math.abs((await middle(head)) - (await middle(second)))).toBeLessThan(3);
    // The limits of this hand stand in the lanes, each with its figure; where its fingers set them, onset by onset.
    await expect(page.locator(`svg[data-lane="turn"] [data-limit]`)).toHaveCount(2);
    await expect(page.locator(`svg[data-lane="release"] [data-limit]`)).toHaveText(/60 ms/);
    await expect(page.locator(`svg[data-lane="in-out"] [data-room]`)).toHaveCount(2);
    await page.getByRole("button", { name: "Sideways", exact: true }).click();
    await expect(lanes).toHaveCount(4);
    await page.getByRole("button", { name: "Fold the lane In and out" }).click();
    await expect(lanes).toHaveCount(3);
  });

  await test.step("on paper stand the music, the lanes and what the signs mean, and nothing to press", async () => {
    const onScreen = [
      page.getByRole("tab", { name: "Hand plan" }),
      page.getByRole("img", { name: /^Hands on the keys/ }),
    ];
    const key = page.getByLabel("Key of the signs").first();
    await expect(key).toBeHidden();
    await page.emulateMedia({ media: "print" });
    for (const part of onScreen) await expect(part).toBeHidden();
    await expect(page.getByRole("navigation", { name: "Places" })).toBeHidden();
    await expect(lanes.first()).toBeVisible();
    await expect(key).toBeVisible();
    await expect(page.getByText(/^Digits of option A, ♩ = /)).toBeVisible();
    await page.emulateMedia({ media: "screen" });
    for (const part of onScreen) await expect(part).toBeVisible();
  });

  await test.step("a warning says where, how much and what to change, and goes there", async () => {
    const warnings = page.getByRole("region", { name: "What to change" });
    const first = warnings.getByRole("listitem").first().getByRole("button").first();
    await expect(first).toContainText(/Bar \d+, beat .*: .*\d+ (mm|ms|s|degrees)/);
    const [, bar] = /Bar (\d+)/.exec((await first.textContent())!)!;
    await first.click();
    await expect(page).toHaveURL(new RegExp(`note=b${bar}-`));
  });

  await test.step("slow motion moves the hands, still by still too, and another option goes in step", async () => {
    await page.getByRole("button", { name: "Slow motion" }).click();
    const motion = page.getByRole("group", { name: "Slow motion" });
    const time = motion.locator("output");
    await expect(time).toHaveText("0.00 s");
    await motion.getByRole("button", { name: "One still on" }).click();
    await expect(time).toHaveText("0.02 s");
    await motion.getByLabel("Speed").selectOption("0.01");
    await motion.getByRole("button", { name: "Move" }).click();
    await expect(time).not.toHaveText("0.02 s");
    await motion.getByRole("button", { name: "Hold still" }).click();
    expect(Number((await time.textContent())!.replace(" s", ""))).toBeLessThan(0.5);
    await expect(motion.getByText(/plays|down/).first()).toBeVisible();
    await motion.getByLabel("In step").selectOption("B");
    await expect(motion.getByRole("img", { name: /^The plan of option B from above/ })).toBeVisible();
    await expect(motion.getByRole("img", { name: /^From the player’s right/ })).toBeVisible();
    await page.getByRole("button", { name: "Slow motion" }).click();
  });

  await test.step("a small change is held against the hand as it lies", async () => {
    const change = page
      .getByRole("group", { name: /^A is as it lies/ })
      .getByRole("button")
      .first();
    for (let i = 0; i < 12 && !(await change.isVisible()); i++) await page.keyboard.press("ArrowRight");
    await change.click();
    await expect(page.locator("[data-tried]")).toBeAttached();
    await change.click();
    await expect(page.locator("[data-tried]")).toHaveCount(0);
  });

  await test.step("signs and words are put on the score, a touch and the tune chosen, and all of it is kept", async () => {
    await page.getByRole("button", { name: "Put here: circle over" }).click();
    await page.getByLabel("Words of your own").fill("like a swing");
    await page.getByRole("button", { name: "Write" }).click();
    await expect(page.locator(`g[data-sign-of-plan="words"]`)).toContainText("like a swing");
    await page.getByLabel("Energy").selectOption("arm");
    await expect(page.getByLabel("Start")).toHaveValue("on-key");
    await page.getByRole("region", { name: "The tune" }).getByRole("combobox").selectOption("top");
    await expect(page.getByText(/Carried by the|\d with 5/)).toBeVisible();
    await page.getByLabel("A joint caves in").check();
    await expect(page.getByRole("status").filter({ hasText: /^Kept$/ })).toBeVisible();
    await page.reload();
    await engraved(page);
    await expect(page.locator(`g[data-sign-of-plan="words"]`)).toContainText("like a swing");
    await expect(page.getByLabel("A joint caves in")).toBeChecked();
    await expect(page.getByRole("region", { name: "The tune" }).getByRole("combobox")).toHaveValue("top");
  });

  await test.step("a sign that is taken away comes back with Undo", async () => {
    const signs = page.locator("g[data-sign-of-plan]");
    const before = await signs.count();
    await page.getByRole("button", { name: "Take away like a swing" }).click();
    await expect(signs).toHaveCount(before - 1);
    await page.getByRole("button", { name: "Undo", exact: true }).last().click();
    await expect(signs).toHaveCount(before);
    await page.getByRole("button", { name: "Take away like a swing" }).click();
    await expect(signs).toHaveCount(before - 1);
    await kept(page);
    // And after the page was opened anew, along everything that was done.
    await page.reload();
    await engraved(page);
    await expect(signs).toHaveCount(before - 1);
    const panel = page.getByRole("tabpanel", { name: "Hand plan" });
    await panel.getByRole("button", { name: "Undo" }).click();
    await expect(signs).toHaveCount(before);
    await panel.getByRole("button", { name: "Redo" }).click();
    await expect(signs).toHaveCount(before - 1);
    await panel.getByRole("button", { name: "Undo" }).click();
    await expect(signs).toHaveCount(before);
  });

  await test.step("the file has the words and the groups", async () => {
    const [download] = await Promise.all([
      page.waitForEvent("download"),
      page.getByRole("link", { name: /^Export/ }).click(),
    ]);
    const text = readFileSync((await download.path())!, "utf8");
    expect(text).toContain("<words>like a swing</words>");
    expect(text).toContain("<bracket");
  });
  expect(problems).toEqual([]);
});

test("the plan's figures stand beside the options, and against tempo", async ({ page }) => {
  await page.goto("/");
  await page.getByRole("link", { name: /^The figure in four keys/ }).click();
  await engraved(page);
  await page.getByRole("link", { name: "Side by side" }).click();
  await expect(page.getByRole("row", { name: /^Wrist along the keys/ })).toContainText("mm");
  await expect(page.getByRole("row", { name: /^Joins with time to close/ })).toContainText("%");
  await expect(page.getByRole("img", { name: /^joins with time to close, %: A from/ })).toBeVisible();
  await page.getByRole("radio", { name: "Rotation" }).click();
  await expect(page.getByRole("img", { name: /^forearm to and fro/ })).toBeVisible();
});
