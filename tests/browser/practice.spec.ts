import { readFileSync } from "node:fs";
import { expect, test } from "@playwright/test";
import { readMidi } from "@/formats/midi/read-midi";
import { readScore } from "@/formats/musicxml/reading/open";
import { kept, openOnBench } from "./support";

test("practice: a drill out of the passage, heard and saved, the ladder up and down, and the count with honesty", async ({
  page,
}) => {
  await openOnBench(page, { title: "Practised", bars: [1, 1] });
  await page.getByRole("link", { name: "Practice" }).click();
  const drills = page.getByRole("region", { name: "Drills", exact: true });
  await expect(drills.getByText(/, worst in bar/).first()).toBeVisible();
  await drills.getByText(/^All drills of the right hand/).click();
  await drills.getByRole("button", { name: "Bursts of 4" }).click();
  const desk = page.getByRole("region", { name: "Bursts of 4" });
  await expect(desk.locator("g.note").first()).toBeAttached();
  await expect(desk.locator("g[data-note]").first()).toBeAttached();
  const saved = async (name: string): Promise<Uint8Array> => {
    const coming = page.waitForEvent("download");
    await desk.getByRole("button", { name }).click();
    return new Uint8Array(readFileSync((await (await coming).path())!));
  };
  const score = readScore(await saved("As MusicXML"));
  expect(score.ok && score.value.text).toContain("<fingering");
  const midi = readMidi(await saved("As MIDI"));
  expect(midi.ok && midi.value.keys.length).toBeGreaterThan(6);
  const ladder = page.getByRole("region", { name: "Ladder" });
  const tempo = async () => Number(/= (\d+)/.exec((await ladder.getByRole("status").textContent())!)![1]);
  const before = await tempo();
  await ladder.getByRole("button", { name: "Clean and easy" }).click();
  expect(await tempo()).toBeGreaterThan(before);
  for (let i = 0; i < 2; i++) await ladder.getByRole("button", { name: "Not yet" }).click();
  expect(await tempo()).toBeLessThanOrEqual(before);
  const count = page.getByRole("region", { name: "Count" });
  await expect(count.getByText(/5 will probably take about \d+ plays/)).toBeVisible();
  for (const key of [" ", " ", "Backspace", " "]) await page.keyboard.press(key);
  await expect(count.getByRole("status")).toHaveText(/^2 of 5 good, 4 played/);
  await kept(page);
  await page.reload();
  await expect(desk).toBeVisible();
  expect(await tempo()).toBeLessThanOrEqual(before);
});
