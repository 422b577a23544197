import { expect, test } from "@playwright/test";
import { digitsShown, engraved, kept, openOnBench } from "./support";

for (const [choice, finger] of [
  ["Go on from the one there", "3"],
  ["Keep the one here", "5"],
] as const) {
  test(`a change on an outdated version shows both and overwrites nothing: ${choice}`, async ({ page, context }) => {
    await openOnBench(page, { title: "Two windows" });
    const second = await context.newPage();
    await second.goto(page.url());
    await engraved(second);
    await page.keyboard.press("3");
    await kept(page);
    await second.keyboard.press("5");
    const dialog = second.getByRole("alertdialog");
    await expect(dialog).toContainText("was changed in another window");
    await expect(dialog.getByText("There, version 2")).toBeVisible();
    await dialog.getByRole("button", { name: choice }).click();
    await expect(dialog).toBeHidden();
    await kept(second);
    await expect(second.locator(`g[data-note="b1-s1-v1-n1"] text`)).toHaveText(finger);
    await page.reload();
    await engraved(page);
    expect(await digitsShown(page)).toEqual(await digitsShown(second));
  });
}

test("what two windows ask of every fingering is put together, and both hear of it", async ({ page, context }) => {
  await openOnBench(page, { title: "Two who ask" });
  const second = await context.newPage();
  await second.goto(page.url());
  await engraved(second);
  const rules = [page, second].map((window) => ({
    tab: window.getByRole("tab", { name: "Rules" }),
    black: window.getByRole("checkbox", { name: "No thumb on black keys" }),
    weak: window.getByRole("checkbox", { name: "Never 4 and 5 one after the other" }),
  }));
  for (const { tab } of rules) await tab.click();
  await rules[0]!.black.check();
  await kept(page);
  await expect(rules[1]!.black).not.toBeChecked();
  await rules[1]!.weak.check();
  await kept(second);
  await expect(rules[1]!.black).toBeChecked();
  await page.reload();
  await engraved(page);
  await rules[0]!.tab.click();
  await expect(rules[0]!.black).toBeChecked();
  await expect(rules[0]!.weak).toBeChecked();
});
