import { expect, test } from "@playwright/test";
import { digitsShown, kept, openOnBench } from "./support";

/** s for which the connection is cut; `CUT_SECONDS=180` makes it minutes. */
const CUT_SECONDS = Number(process.env["CUT_SECONDS"] ?? 6);

test("what is done while the connection is cut is said not to be kept, and is kept by itself when it is back", async ({
  page,
  context,
}) => {
  test.setTimeout(120_000 + CUT_SECONDS * 1000);
  await openOnBench(page, { title: "Cut off" });
  await page.keyboard.press("2");
  await kept(page);
  await context.setOffline(true);
  await page.keyboard.press("4");
  await page.keyboard.press("ArrowRight");
  await page.keyboard.press("5");
  await expect(page.getByRole("status").filter({ hasText: /^Kept$/ })).toBeHidden();
  await expect(page.getByText(/^Not kept yet/).first()).toBeVisible();
  await expect.poll(async () => Object.values(await digitsShown(page)).slice(0, 2)).toEqual(["4", "5"]);
  await page.waitForTimeout(CUT_SECONDS * 1000);
  await context.setOffline(false);
  await expect(page.getByRole("status").filter({ hasText: /^Kept$/ })).toBeVisible();
  const shown = await digitsShown(page);
  expect(Object.values(shown).slice(0, 2)).toEqual(["4", "5"]);
  await page.reload();
  await expect.poll(() => digitsShown(page)).toEqual(shown);
});
