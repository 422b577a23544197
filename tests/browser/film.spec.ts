import { expect, test } from "@playwright/test";
import { openOnBench } from "./support";

/** A picture of one px. */
const PHOTOGRAPH = Buffer.from(
  "iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==",
  "base64",
);

test("the film desk: keys as a ruler, the plan's hand beside, what an eye sees tried as two snips", async ({
  page,
}) => {
  await openOnBench(page, { title: "Filmed", bars: [1, 1] });
  await page.getByRole("tab", { name: "Trials" }).click();
  await page.getByRole("link", { name: "Film desk" }).click();
  const picture = page.getByRole("application");
  await expect(picture).toBeVisible();
  await expect(page.getByText("The clip that is drawn from the plan")).toBeVisible();
  await page.getByRole("button", { name: "Mark the corners anew" }).click();
  const box = (await picture.boundingBox())!;
  const corners = [
    [0.1, 0.7],
    [0.9, 0.7],
    [0.8, 0.2],
    [0.2, 0.2],
  ] as const;
  for (const [x, y] of corners) await picture.click({ position: { x: x * box.width, y: y * box.height } });
  await expect(page.getByRole("status").first()).toHaveText(/Click on the tip of 1, right hand/);
  await page.getByRole("combobox", { name: "At", exact: true }).selectOption({ index: 1 });
  await picture.click({ position: { x: 0.4 * box.width, y: 0.5 * box.height } });
  await picture.click({ position: { x: 0.45 * box.width, y: 0.4 * box.height } });
  const measured = page.getByRole("region", { name: "Measured" });
  await expect(measured.getByRole("cell", { name: "1 to 2" })).toBeVisible();
  await expect(measured.getByText(/^tip 1: \d+ mm from the plan’s/)).toBeVisible();
  await expect(page.locator('[data-bones="plan"]')).toHaveCount(1);
  const seen = page.getByRole("region", { name: "Seen by eye" });
  await seen.getByRole("button", { name: "the thumb is late" }).click();
  await seen.getByRole("link").first().click();
  const two = page.getByRole("region", { name: "Two snips" });
  for (const letter of ["A", "B"]) {
    await two
      .getByRole("button", { name: "Play" })
      .nth(letter === "A" ? 0 : 1)
      .click();
    await expect(two.getByText(": played")).toHaveCount(letter === "A" ? 1 : 2);
  }
  await expect(page.getByRole("region", { name: "The take" }).getByText("other", { exact: true })).toBeVisible();
});

test("a film stays in the browser until it is kept; kept, it is there again, and can be taken away and had back", async ({
  page,
}) => {
  await openOnBench(page, { title: "Photographed", bars: [1, 1] });
  await page.getByRole("tab", { name: "Trials" }).click();
  await page.getByRole("link", { name: "Film desk" }).click();
  const picker = page.getByLabel("Open a clip or a photograph from above");
  await picker.setInputFiles({ name: "torn.png", mimeType: "image/png", buffer: PHOTOGRAPH.subarray(0, 20) });
  await expect(page.getByText(/torn\.png cannot be shown by this browser/)).toBeVisible();
  await picker.setInputFiles({ name: "from-above.png", mimeType: "image/png", buffer: PHOTOGRAPH });
  await expect(page.getByText("It is in this browser alone.")).toBeVisible();
  await page.getByRole("button", { name: "the thumb is late" }).click();
  await page.getByRole("button", { name: "Keep it with the passage" }).click();
  await expect(page.getByText("Kept with this passage.")).toBeVisible();
  await page.reload();
  const films = page.getByRole("list", { name: "Films kept" });
  await films.getByRole("button", { name: "from-above.png" }).click();
  await expect(page.getByRole("button", { name: "the thumb is late" })).toHaveAttribute("aria-pressed", "true");
  await films.getByRole("button", { name: "Take away" }).click();
  await expect(films).toHaveCount(0);
  await page.getByRole("button", { name: "Undo" }).click();
  await page.reload();
  await expect(films.getByRole("button", { name: "from-above.png" })).toBeVisible();
});
