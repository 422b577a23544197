import { expect, test } from "@playwright/test";
import { digitsShown, kept, openOnBench } from "./support";

test("computing that breaks off is said, begun again, and goes on where it was", async ({ page }) => {
  await page.addInitScript(() => {
    const Real = window.Worker;
    const all: Worker[] = [];
    window.Worker = class extends Real {
      constructor(...given: ConstructorParameters<typeof Worker>) {
        super(...given);
        all.push(this);
      }
    };
    Object.assign(window, {
      breakOff: () => all.splice(0).forEach((worker) => worker.dispatchEvent(new ErrorEvent("error"))),
    });
  });
  await openOnBench(page, { title: "Broken off" });
  await page.evaluate(() => (window as unknown as { breakOff: () => void }).breakOff());
  await expect(page.getByText(/computing beside the page broke off; it was begun again/).first()).toBeVisible();
  const before = await digitsShown(page);
  await page.keyboard.press("3");
  await kept(page);
  await expect.poll(async () => Object.values(await digitsShown(page))[0]).toBe("3");
  const after = Object.values(await digitsShown(page));
  expect(after).toHaveLength(Object.values(before).length);
  // The new worker has worked the rest out around the pin, on the same music.
  expect(after.slice(1)).not.toEqual(Object.values(before).slice(1));
  await page.reload();
  await expect.poll(async () => Object.values(await digitsShown(page))).toEqual(after);
});
