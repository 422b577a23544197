import { expect, test } from "@playwright/test";
import type { Finger } from "@/core/hand/finger";
import { handOfMeasured } from "@/core/hand/measured";
import { FULL_SIZE } from "@/core/keyboard/instrument";
import { pitch } from "@/core/keyboard/pitch";
import { KEYBOARD } from "@/core/physics";
import { placementsOf } from "@/core/placement/placements";
import { connect } from "@/db/client";
import { handsGiven } from "@/server/hands/hands";
import { engraved, openOnBench } from "./support";
import { somePlayer } from "../support/some-player";

/** The keys of the made-up run, onset by onset, as tests/browser/support.ts writes them. */
const ONSETS = [[60], [62], [64], [65], [67], [69], [71], [72], [76], [72], [67], [64], [60, 64, 67]];

test("every fingertip is drawn where the placement solver has it", async ({ page }) => {
  const { db, close } = connect(process.env["DATABASE_URL"]!);
  const { right } = await handsGiven(db, (await somePlayer(db)).id);
  await close();
  const placements = placementsOf(handOfMeasured("right", right.measured, right.resting), FULL_SIZE);
  await openOnBench(page, { title: "To scale" });
  await engraved(page);
  let seen = 0;
  for (const keys of ONSETS) {
    await expect(page.locator(`[data-moving="false"]`)).toBeAttached();
    const tips = await page.locator(`g[data-playing="true"]`).evaluateAll((all) =>
      all.map((g) => ({
        finger: Number(g.getAttribute("data-finger")),
        x: Number(g.querySelector("circle")!.getAttribute("cx")),
        y: Number(g.querySelector("circle")!.getAttribute("cy")),
      })),
    );
    expect(tips.length).toBe(keys.length);
    // The fingers lie in the order of the keys.
    const ordered = [...tips].sort((a, b) => a.x - b.x);
    const placed = placements.place(ordered.map((tip, i) => ({ finger: tip.finger as Finger, key: pitch(keys[i]!) })));
    if (placed.kind !== "held") throw new Error(`Keys ${keys.join(", ")} are out of reach.`);
    for (const tip of placed.tips) {
      const drawn = tips.find((t) => t.finger === tip.finger)!;
      expect(Math.hypot(drawn.x - tip.at.x, KEYBOARD.whiteLength - drawn.y - tip.at.y)).toBeLessThanOrEqual(0.5);
      seen++;
    }
    await page.keyboard.press("ArrowRight");
    await page.waitForTimeout(50);
  }
  expect(seen).toBe(15);
});
