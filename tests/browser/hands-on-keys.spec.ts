import { expect, test } from "@playwright/test";
import { contactOn } from "@/core/keyboard/contact";
import { FULL_SIZE } from "@/core/keyboard/instrument";
import { pitch } from "@/core/keyboard/pitch";
import { KEYBOARD } from "@/core/physics";
import { engraved, openOnBench } from "./support";

/** The keys of the made-up run, onset by onset, as tests/browser/support.ts writes them. */
const ONSETS = [[60], [62], [64], [65], [67], [69], [71], [72], [64], [67], [72], [67], [60, 64, 67]];

test("every fingertip is drawn where its contact was computed", async ({ page }) => {
  await openOnBench(page, { title: "To scale" });
  await engraved(page);
  let seen = 0;
  for (const keys of ONSETS) {
    const tips = await page
      .locator(`g[data-playing="true"] circle`)
      .evaluateAll((all) => all.map((c) => ({ x: Number(c.getAttribute("cx")), y: Number(c.getAttribute("cy")) })));
    const contacts = keys.map((key) => contactOn(pitch(key), FULL_SIZE));
    expect(tips.length).toBe(keys.length);
    for (const { x, y } of contacts) {
      const nearest = Math.min(...tips.map((tip) => Math.hypot(tip.x - x, KEYBOARD.whiteLength - tip.y - y)));
      expect(nearest).toBeLessThanOrEqual(0.5);
      seen++;
    }
    await page.keyboard.press("ArrowRight");
  }
  expect(seen).toBe(15);
});
