import { expect, test, type Page } from "@playwright/test";
import { alive, asNewPlayer, kept, openOnBench, withPiano } from "./support";

/** Plays keys evenly by the piano's own clock, each until the next; one key may be another. */
async function play(page: Page, keys: readonly number[], ms: number): Promise<void> {
  await page.evaluate(
    async ([all, each]) => {
      const { sendAt } = window as unknown as { sendAt: (at: number, ...data: number[]) => void };
      const begun = performance.now();
      for (const [i, key] of all.entries()) {
        sendAt(begun + i * each, 0x90, key, 70);
        await new Promise((go) => setTimeout(go, begun + (i + 1) * each - performance.now()));
        sendAt(begun + (i + 1) * each, 0x80, key, 0);
      }
    },
    [keys, ms] as const,
  );
}

const RUN_KEYS = [60, 62, 64, 65, 67, 69, 71, 72];

test("a whole session: the day planned, warmed up, a drill, the ladder by takes, what was felt, and the diary", async ({
  page,
  baseURL,
}) => {
  await withPiano(page);
  await asNewPlayer(page, baseURL!);
  await openOnBench(page, { title: "The run", bars: [1, 1] });
  await page.goto("/");
  const today = page.getByRole("region", { name: "Today", exact: true });
  await alive(today.getByLabel("Minutes today"));

  await test.step("the day is planned from the time there is, and changed by hand", async () => {
    await today.getByLabel("Minutes today").fill("45");
    await today.getByRole("button", { name: "Plan the day" }).click();
    await expect(today.getByRole("group", { name: "Next" })).toContainText("Warm up: The run");
    await expect(today.getByRole("listitem").filter({ hasText: "Decide: The run" }).first()).toContainText("10 min");
    await today.getByRole("button", { name: "Change Decide: The run" }).first().click();
    await page.getByRole("menuitem", { name: "5 minutes shorter" }).click();
    await expect(today.getByRole("listitem").filter({ hasText: "Decide: The run" }).first()).toContainText("5 min");
    await today.getByRole("button", { name: "Change Decide: The run" }).last().click();
    await page.getByRole("menuitem", { name: "Strike out" }).click();
    await today.getByRole("button", { name: "Change Decide: The run" }).last().click();
    await page.getByRole("menuitem", { name: "Have it back" }).click();
    await expect(today.locator(".line-through")).toHaveCount(0);
  });

  await test.step("one key begins the warm-up, and what came of it is kept", async () => {
    await page.keyboard.press("b");
    const block = page.getByRole("region", { name: "This block" });
    await expect(block).toContainText("Warm up");
    await expect(page.getByRole("heading", { name: /^Warm up on bar/ })).toBeVisible();
    await block.getByRole("button", { name: "End this block" }).click();
    const end = page.getByRole("form", { name: "What came of it" });
    await end.getByRole("radio", { name: "yes" }).click();
    await end.getByLabel("In your own words").fill("Warm after four minutes.");
    await end.getByRole("button", { name: "Keep it" }).click();
    await expect(block.getByRole("status")).toContainText("Next: Loose?");
    await block.getByRole("link", { name: "Back to the day" }).click();
    await today.getByRole("button", { name: "Loose", exact: true }).click();
    await expect(today.getByRole("group", { name: "Next" })).toContainText("Decide: The run");
  });

  await test.step("a drill, and the ladder by takes on a MIDI piano", async () => {
    await page.getByRole("link", { name: /^The run bar/ }).click();
    await page.getByRole("link", { name: "Practice" }).click();
    await expect(page.locator("g[data-note]").first()).toBeAttached();
    const take = page.getByRole("region", { name: "A take" });
    await take.getByRole("button", { name: "Connect a MIDI piano" }).click();
    await expect(take).toContainText("Stand-in piano");
    const ladder = page.getByRole("region", { name: "Ladder" }).getByRole("status");
    const count = page.getByRole("region", { name: "Count" }).getByRole("status");
    await expect(ladder).toContainText("♩ = 48 of 96");
    const sixteenth = 60_000 / 48 / 4;
    await take.getByRole("button", { name: "Play the passage" }).click();
    await play(page, RUN_KEYS, sixteenth);
    await expect(take.locator("p[role=status]")).toContainText("Clean.");
    await expect(count).toContainText("1 of 5 good, 1 played");
    const felt = page.getByRole("region", { name: "What you felt" });
    await felt
      .getByRole("radio", { name: /^Easy|^Yes/i })
      .first()
      .click();
    await felt.getByRole("button", { name: "again", exact: true }).click();
    await expect(ladder).toContainText("♩ = 50");
    await take.getByRole("button", { name: "Play the passage" }).click();
    await play(page, [60, 62, 64, 66, 67, 69, 71, 72], sixteenth);
    await expect(take.locator("p[role=status]")).toContainText("Not clean.");
    await expect(count).toContainText("0 of 5 good, 2 played");
    await kept(page);
  });

  await test.step("the diary has it all, and a note is written and found", async () => {
    await page.getByRole("link", { name: "Diary" }).click();
    await expect(page.getByText("Warm after four minutes.")).toBeVisible();
    await expect(page.getByText(/^2 takes of A, 1 clean, at ♩ = 48/)).toBeVisible();
    const write = page.getByRole("form", { name: "Write into the diary" });
    await write.getByLabel("In your own words").fill("The thumb came late on F.");
    await write.getByRole("button", { name: "Keep" }).click();
    await expect(page.getByText("The thumb came late on F.", { exact: true })).toBeVisible();
    await page.getByLabel("Days that hold the words").fill("thumb late");
    await page.getByRole("button", { name: "Find" }).click();
    await expect(page).toHaveURL(/words=/);
    await expect(page.getByText("The thumb came late on F.", { exact: true })).toBeVisible();
  });
});

/** A click that was asked of the loudspeaker, and when it was, in seconds of the loudspeaker's clock. */
interface ClickAskedFor {
  readonly at: number;
  readonly now: number;
}

/** The practice desk of a passage of the demo, with its click, and what that asks of the loudspeaker. */
async function clickAtDesk(page: Page) {
  await page.addInitScript(() => {
    const asked: ClickAskedFor[] = [];
    Object.assign(window, { asked });
    const start = OscillatorNode.prototype.start;
    OscillatorNode.prototype.start = function (this: OscillatorNode, when = 0) {
      // What the library tries out before it begins is no click.
      if (when >= 0 && this.context instanceof AudioContext) asked.push({ at: when, now: this.context.currentTime });
      return start.call(this, when);
    };
  });
  await page.goto("/");
  const bench = await page.getByRole("link", { name: /^The run over the black keys bars/ }).getAttribute("href");
  await page.goto(bench!.replace("/bench/", "/practice/"));
  await expect(page.locator("g[data-note]").first()).toBeAttached();
  const ladder = page.getByRole("region", { name: "Ladder" });
  const asked = () => page.evaluate(() => (window as unknown as { asked: readonly ClickAskedFor[] }).asked.slice());
  return {
    panel: page.getByRole("region", { name: "Click" }),
    ladder,
    asked,
    tempo: async () => Number(/= (\d+)/.exec((await ladder.getByRole("status").textContent())!)![1]),
    /** Waits until so many clicks more were asked for. */
    async hears(more: number): Promise<void> {
      const before = (await asked()).length;
      await expect.poll(async () => (await asked()).length - before).toBeGreaterThanOrEqual(more);
    },
  };
}

test("the click keeps time: what it asks of the loudspeaker is within 2 ms of even", async ({ page }) => {
  const { panel, asked, hears, tempo } = await clickAtDesk(page);
  await panel.getByRole("radio", { name: "2" }).first().click();
  await panel.getByRole("button", { name: "Click" }).click();
  await hears(13);
  const each = 60 / (await tempo()) / 2;
  const clicks = await asked();
  const first = clicks[0]!.at;
  clicks.forEach(({ at, now }, i) => {
    expect(Math.abs(at - first - i * each)).toBeLessThan(0.002);
    // Asked for before it is due: nothing is late.
    expect(at).toBeGreaterThanOrEqual(now);
  });
  // One thing is heard at a time, and the click does not say that it goes on.
  await page.getByRole("button", { name: "Hear it" }).click();
  await expect(panel.getByRole("button", { name: "Click" })).toHaveAttribute("aria-pressed", "false");
  await expect(page.getByRole("button", { name: "Stop", exact: true })).toBeVisible();
});

test("the click has no seam where the notes to a click change while it runs", async ({ page }) => {
  const { panel, ladder, asked, hears, tempo } = await clickAtDesk(page);
  const up = ladder.getByRole("button", { name: "Clean and easy" });
  await ladder.getByRole("radio", { name: "5 beats" }).click();
  // As far as the clockwork goes with a quarter to a click.
  while ((await tempo()) <= 200) await up.click();
  await expect(ladder.getByRole("status")).not.toContainText("quarters");
  const slower = 60 / (await tempo());
  await panel.getByRole("button", { name: "Click" }).click();
  await hears(6);
  while ((await tempo()) <= 208) await up.click();
  await expect(ladder.getByRole("status")).toContainText("every 2 quarters");
  const faster = 60 / (await tempo());
  await hears(12);
  const clicks = await asked();
  const gaps = clicks.slice(1).map(({ at }, i) => at - clicks[i]!.at);
  // The tempo may change in the middle of a gap.
  const isBetween = (gap: number): boolean => gap > faster - 0.002 && gap < slower + 0.002;
  const changed = gaps.findIndex((gap) => !isBetween(gap));
  expect(changed).toBeGreaterThanOrEqual(5);
  // One click follows the other as the tempo has it, then every second one is left out: there is no other gap.
  const after = gaps.slice(changed).map((gap) => gap / 2);
  expect(isBetween(after[0]!)).toBe(true);
  expect(after.slice(1).filter((gap) => Math.abs(gap - faster) > 0.001)).toEqual([]);
  // The change waits for the beginning of a bar.
  expect(changed % 4).toBe(0);
  expect(clicks.filter(({ at, now }) => at < now)).toEqual([]);
  await panel.getByRole("button", { name: "Stop the click" }).click();
});
