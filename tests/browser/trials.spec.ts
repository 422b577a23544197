import { readFileSync } from "node:fs";
import { expect, test } from "@playwright/test";
import { pitch } from "@/core/keyboard/pitch";
import { readMidi } from "@/formats/midi/read-midi";
import { writeTake } from "@/formats/midi/write-midi";
import { asNewPlayer, kept, openOnBench } from "./support";

test("one key tries the passage: what was played is read against the score, kept, and looked at again", async ({
  page,
}) => {
  await openOnBench(page, { title: "Tried once" });
  await page.keyboard.press("y");
  await expect(page.getByText(/^\d+ keys?$/)).toBeVisible();
  const take = page.getByRole("region", { name: "The take" });
  await expect(take.getByRole("status")).toBeVisible();
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

test("a performance in a MIDI file is a take, and a take leaves as one", async ({ page }) => {
  await openOnBench(page, { title: "From a file", bars: [1, 1] });
  await page.getByRole("tab", { name: "Trials" }).click();
  const keys = [60, 62, 64, 65, 67, 69, 71, 72].map((key, i) => {
    return { key: pitch(key), downMs: i * 312, upMs: i * 312 + 280, velocity: 70 };
  });
  const file = (name: string, bytes: Uint8Array) => ({ name, mimeType: "audio/midi", buffer: Buffer.from(bytes) });
  const picker = page.getByLabel("Read a performance from a MIDI file");
  await picker.setInputFiles(file("torn.mid", writeTake({ keys, pedal: [] }).slice(0, 40)));
  await expect(page.getByText(/torn\.mid: The MIDI file is broken off/)).toBeVisible();
  await picker.setInputFiles(file("played.mid", writeTake({ keys: keys.filter((_, i) => i !== 4), pedal: [] })));
  const take = page.getByRole("region", { name: "The take" });
  await expect(take.getByRole("status")).toHaveText(/a note is missed/);
  await expect(page.locator('[data-astray="missed"]')).toHaveCount(1);
  const saved = page.waitForEvent("download");
  await take.getByRole("button", { name: "As a MIDI file" }).click();
  const back = readMidi(new Uint8Array(readFileSync((await (await saved).path())!)));
  expect(back.ok && back.value.keys).toHaveLength(7);
  const felt = page.getByRole("region", { name: "What you felt" });
  await felt.getByRole("button", { name: "wrist" }).click();
  await felt.getByRole("button", { name: "slower" }).click();
  await expect(take.getByText("Tension felt: 0 of 10.")).toBeVisible();
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
  await kept(page);
  await page.reload();
  await expect(notice).toBeVisible();
  await notice.getByRole("button", { name: "I am playing again" }).click();
  await expect(page.getByRole("button", { name: "Try it" })).toBeEnabled();
});

test("a stretch drawn over the score is tried as a snip, where time is free is kept, and the player says what is clean", async ({
  page,
  baseURL,
}) => {
  await asNewPlayer(page, baseURL!);
  await openOnBench(page, { title: "In snips", bars: [1, 1] });
  await page.getByRole("tab", { name: "Trials" }).click();
  const notes = page.locator(".engraving g.note");
  const [from, to] = [(await notes.nth(1).boundingBox())!, (await notes.nth(4).boundingBox())!];
  await page.mouse.move(from.x + 3, from.y + 5);
  await page.mouse.down();
  await page.mouse.move(to.x - 10, to.y + 5, { steps: 4 });
  await page.mouse.move(to.x + 3, to.y + 5, { steps: 4 });
  await page.mouse.up();
  await page.getByRole("button", { name: "Time is free here" }).click();
  await page.getByRole("button", { name: "Try a snip of it" }).click();
  const snip = page.getByRole("region", { name: "The snip" });
  await expect(snip).toContainText("4 of 4 notes");
  await snip.getByRole("button", { name: "A note fewer" }).click();
  await expect(snip).toContainText("3 of 4 notes");
  await page.keyboard.press("y");
  const takes = page.getByRole("region", { name: "Takes", exact: true });
  await expect(takes.getByText("snip")).toBeVisible();
  await page.getByText("What is clean", { exact: true }).click();
  const astray = page.getByLabel("Keys astray, at most");
  await astray.fill("2.5");
  await expect(page.getByText("A number from 0 to 20, please.")).toBeVisible();
  await astray.fill("3");
  await page.getByRole("button", { name: "Count by this" }).click();
  await kept(page);
  await page.reload();
  await page.getByText("What is clean", { exact: true }).click();
  await expect(astray).toHaveValue("3");
  await notes.nth(1).click();
  await expect(page.getByRole("button", { name: "In time here again" })).toBeVisible();
});
