import { expect, test, type Page } from "@playwright/test";
import { digitsShown, engraved, withPiano } from "./support";

async function press(page: Page, keys: string): Promise<void> {
  for (const key of keys.split(" ")) await page.keyboard.press(key);
}

test("a passage is entered without a file, worked out, and edited on with its pins kept", async ({ page }) => {
  const problems: string[] = [];
  page.on("pageerror", (error) => problems.push(error.message));
  await page.goto("/");
  await page.getByRole("link", { name: "Enter a passage step by step" }).click();
  await expect(page.getByRole("heading", { level: 1, name: "A new passage" })).toBeVisible();
  const where = page.getByRole("status").filter({ hasText: /^Bar/ });

  await test.step("notes by letter and by the keyboard on the screen, lengths by key, chords, ties and tuplets", async () => {
    await press(page, "8 c d e f 4 g");
    await page.getByRole("button", { name: "C 5", exact: true }).click();
    await expect(where).toContainText("Bar 1, beat 5, right hand: after C 5; the bar is full");
    await press(page, "2 e k g k l");
    await expect(where).toContainText("after E 5, G 5, tied on");
    await press(page, "8 t f e d");
    await expect(where).toContainText("Bar 2, beat 4");
    await press(page, "h");
    await expect(where).toContainText("left hand");
    await expect(page.locator(".engraving g.note")).toHaveCount(11);
  });

  await test.step("it is all there when the window is opened again", async () => {
    await page.getByLabel("Name", { exact: true }).fill("By hand");
    await expect(page.getByRole("status").filter({ hasText: /^Kept$/ })).toBeVisible();
    await expect(page).toHaveURL(/\/enter\/[0-9a-f-]{36}$/);
    await page.reload();
    await expect(page.getByLabel("Name", { exact: true })).toHaveValue("By hand");
    await expect(page.locator(".engraving g.note")).toHaveCount(11);
  });

  await test.step("what has no room is refused with a sentence, and undo goes back", async () => {
    await page.locator(".engraving g.note .notehead").first().click();
    await press(page, "1");
    await expect(page.getByRole("alert").filter({ hasText: "Bar 1 has no room" })).toBeVisible();
    await press(page, "ArrowUp");
    await expect(where).toContainText("after D");
    await press(page, "Control+z");
    await expect(where).not.toContainText("after D");
  });

  const note = "b1-s1-v1-n3";
  await test.step("it opens on the Bench like any other", async () => {
    await page.getByRole("combobox", { name: "Hands" }).selectOption("right");
    await page.getByRole("button", { name: "Work it out on the Bench" }).click();
    await expect(page.getByRole("heading", { level: 1, name: "By hand" })).toBeVisible();
    await engraved(page);
    await expect(page.getByRole("radio", { name: /^Option A/ })).toBeVisible();
    expect(Object.keys(await digitsShown(page))).toHaveLength(11);
    await page.locator(`g.note[id="${note}"] .notehead`).first().click();
    await page.keyboard.press("5");
    await expect(page.locator(`g[data-note="${note}"] text`)).toHaveText("5");
    await expect(page.getByRole("status").filter({ hasText: /^Kept$/ })).toBeVisible();
  });

  await test.step("a note taken out before a pin leaves the pin on its note", async () => {
    await page.getByRole("link", { name: "Notes" }).click();
    // The Bench shows as many notes: what is touched before the page has changed is touched there.
    await expect(page).toHaveURL(/\/enter\//);
    await expect(page.getByLabel("Name", { exact: true })).toHaveValue("By hand");
    await expect(page.locator(".engraving g.note")).toHaveCount(11);
    await page.locator(".engraving g.note .notehead").first().click();
    await press(page, "Backspace");
    await expect(page.locator(".engraving g.note")).toHaveCount(10);
    await page.getByRole("button", { name: "Back to the Bench" }).click();
    await expect(page).toHaveURL(/bench/);
    await engraved(page);
    await expect.poll(async () => Object.keys(await digitsShown(page)).length).toBe(10);
    await expect(page.locator(`g[data-note="b1-s1-v1-n2"] text`)).toHaveText("5");
  });
  expect(problems).toEqual([]);
});

test("keys struck together on a MIDI piano make a chord", async ({ page }) => {
  await withPiano(page);
  await page.goto("/enter");
  await page.getByRole("button", { name: "Connect a MIDI piano" }).click();
  await expect(page.getByRole("button", { name: "Stand-in piano" })).toBeVisible();
  await page.evaluate(() => {
    const { send } = window as unknown as { send: (...data: number[]) => void };
    for (const key of [60, 64, 67]) send(0x90, key, 80);
    for (const key of [60, 64, 67]) send(0x80, key, 0);
  });
  await expect(page.getByRole("status").filter({ hasText: /^Bar 1/ })).toContainText("after C 4, E 4, G 4");
});

test("two windows on one entry do not overwrite each other", async ({ page, context }) => {
  await page.goto("/enter");
  await page.getByLabel("Name", { exact: true }).fill("Two windows");
  await page.getByRole("heading", { level: 1 }).click();
  await press(page, "4 c d");
  const kept = (on: Page) => expect(on.getByRole("status").filter({ hasText: /^Kept$/ })).toBeVisible();
  await expect(page).toHaveURL(/\/enter\/[0-9a-f-]{36}$/);
  await kept(page);
  const other = await context.newPage();
  await other.goto(page.url());
  await expect(other.locator(".engraving g.note")).toHaveCount(2);
  await other.getByRole("heading", { level: 1 }).click();
  await press(other, "e");
  await expect(other.locator(".engraving g.note")).toHaveCount(3);
  await kept(other);
  await press(page, "g a");
  const asked = page.getByRole("alertdialog");
  await expect(asked).toBeVisible();
  await asked.getByRole("button", { name: "Keep the one here" }).click();
  await kept(page);
  await page.reload();
  await expect(page.locator(".engraving g.note")).toHaveCount(4);
});
