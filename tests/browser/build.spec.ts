import { expect, test } from "@playwright/test";
import { bytes, noteXml, scoreXml } from "../support/musicxml";
import { digitsShown, engraved, kept, openOnBench } from "./support";

const FIGURE = ["C5", "E5", "D5", "G5", "F5", "A5", "G5", "E5"];
const UP = ["C#5", "F5", "D#5", "G#5", "F#5", "A#5", "G#5", "F5"];
const bar = (pitches: readonly string[], digit?: number): string =>
  pitches
    .map((p, i) => {
      const printed = digit && i === 0;
      const notations = printed ? `<notations><technical><fingering>${digit}</fingering></technical></notations>` : "";
      return noteXml(p, { length: 6, notations });
    })
    .join("");
/** A figure and its return a semitone higher. */
const TWICE = scoreXml([bar(FIGURE), bar(UP)]);

test("how a passage is built, and what is asked of every fingering of it", async ({ page }) => {
  await openOnBench(page, { title: "A figure twice", text: TWICE });

  await test.step("positions lead to their joins", async () => {
    await expect(page.getByRole("img", { name: "Positions of the right hand" })).toBeVisible();
    await page.getByRole("tab", { name: "Positions" }).click();
    const joins = page.getByRole("tabpanel", { name: "Positions" }).getByRole("listitem");
    await expect(joins.first()).toContainText(/mm/);
    await joins.first().getByRole("button").click();
    await expect(page).toHaveURL(/note=b\d/);
  });

  await test.step("a figure that returns can keep its fingers, at a price", async () => {
    await page.getByRole("tab", { name: "Figures" }).click();
    await expect(page.getByText(/the same intervals, 1 semitone up/)).toBeVisible();
    await page.getByRole("radio", { name: "Always" }).click();
    await expect
      .poll(async () => {
        const digits = await digitsShown(page);
        return [2, 3, 4, 5, 6, 7].every((n) => digits[`b1-s1-v1-n${n}`] === digits[`b2-s1-v1-n${n}`]);
      })
      .toBe(true);
    await expect(page.getByText(/Keeping fingers (adds|costs nothing)/)).toBeVisible();
  });

  await test.step("it is all there after a reload", async () => {
    await kept(page);
    await page.reload();
    await engraved(page);
    await expect(page.getByRole("radio", { name: "Always" })).toBeChecked();
  });

  await test.step("a finger is ruled out with Shift and allowed again", async () => {
    const note = "b1-s1-v1-n3";
    await page.locator(`g.note[id="${note}"] .notehead`).first().click();
    const before = (await digitsShown(page))[note]!;
    await page.keyboard.press(`Shift+Digit${before}`);
    await expect.poll(async () => (await digitsShown(page))[note]).not.toBe(before);
    await kept(page);
    await page.keyboard.press("Control+z");
    await expect.poll(async () => (await digitsShown(page))[note]).toBe(before);
  });
});

test("another edition stands beside the others", async ({ page }) => {
  await openOnBench(page, { title: "Two editions", text: TWICE });
  await page.getByRole("button", { name: "Another fingering" }).click();
  const file = { mimeType: "application/xml", name: "the edition.musicxml" };
  const picker = page.getByLabel("File with another fingering of this passage");
  await picker.setInputFiles({ ...file, buffer: Buffer.from(bytes(scoreXml([bar(FIGURE, 3), bar(UP)]))) });
  await expect(page.getByRole("radio", { name: /^Option [A-Z], the edition, strain/ })).toBeChecked();
  await expect(page.getByText("1 digit taken over.")).toBeVisible();
  const card = await page.getByRole("radio", { name: /the edition/ }).getAttribute("aria-label");
  const name = /^Option ([A-Z])/.exec(card!)![1]!;
  expect((await digitsShown(page, name))["b1-s1-v1-n1"]).toBe("3");
});
