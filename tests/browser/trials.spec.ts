import { expect, test } from "@playwright/test";
import { asNewPlayer, openOnBench } from "./support";

test("one key tries the passage: what was played is read against the score, kept, and looked at again", async ({
  page,
}) => {
  await openOnBench(page, { title: "Tried once" });
  await page.keyboard.press("y");
  await expect(page.getByText(/^\d+ keys?$/)).toBeVisible();
  const take = page.getByRole("region", { name: "The take" });
  await expect(take.getByRole("status")).toBeVisible({ timeout: 20_000 });
  await expect(take.getByText("Played by the simulated piano, not by a hand.")).toBeVisible();
  for (const lane of ["late", "strength", "tempo"])
    await expect(page.locator(`svg[data-lane="${lane}"]`).first()).toBeAttached();
  const said = await take.getByRole("status").textContent();
  const tried = page.getByRole("region", { name: "What was tried" });
  await expect(tried.getByText(/of 1$/)).toBeVisible();
  // What the page shows as kept is there after it is loaded again.
  await page.reload();
  await page.getByRole("region", { name: "Takes", exact: true }).getByRole("button").first().click();
  await expect(take.getByRole("status")).toHaveText(said!);
  await take.getByRole("button", { name: "Put away" }).click();
  await expect(page.locator('svg[data-lane="late"]')).toHaveCount(0);
});

test("without MIDI in the browser a trial says so, and the simulated piano plays", async ({ page }) => {
  await page.addInitScript(() => Object.defineProperty(navigator, "requestMIDIAccess", { value: undefined }));
  await openOnBench(page, { title: "No piano" });
  await page.getByRole("tab", { name: "Trials" }).click();
  await page.getByRole("button", { name: "Connect a MIDI piano" }).click();
  await expect(page.getByText(/The simulated (piano|one) plays in its place/)).toBeVisible();
});

test("a sign of harm ends the session until the player lifts it", async ({ page, baseURL }) => {
  await asNewPlayer(page, baseURL!);
  await openOnBench(page, { title: "Stopped" });
  await page.keyboard.press("y");
  await expect(page.getByText(/^\d+ keys?$/)).toBeVisible();
  await page.getByRole("button", { name: "It hurts" }).click();
  await page.getByRole("button", { name: "Tingling" }).click();
  const notice = page.getByRole("region", { name: "Stopped" });
  await expect(notice).toContainText("tingling. Rest, and see a clinician who treats musicians.");
  await expect(page.getByRole("button", { name: "Try it" })).toBeDisabled();
  await expect(page.getByRole("region", { name: "The take" })).toHaveCount(0);
  await page.reload();
  await expect(notice).toBeVisible();
  await notice.getByRole("button", { name: "I am playing again" }).click();
  await expect(page.getByRole("button", { name: "Try it" })).toBeEnabled();
});
