import { mkdirSync } from "node:fs";
import { chromium, type Page } from "@playwright/test";
import { BROWSER_ARGS, CHROMIUM, engraved } from "../tests/browser/support";

/** Takes the pictures that the README shows, at 1280 by 800, from the demo data at VELVET_ADDRESS. */
const address = process.env["VELVET_ADDRESS"] ?? "";
const folder = "docs/screenshots";
mkdirSync(folder, { recursive: true });

const browser = await chromium.launch({ executablePath: CHROMIUM, args: BROWSER_ARGS });
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });

async function open(link: string | RegExp): Promise<void> {
  await page.goto(address);
  await page.getByRole("link", { name: link }).click();
  await page.locator(".engraving g.note").first().waitFor({ state: "attached" });
}

async function press(on: Page, keys: readonly string[]): Promise<void> {
  for (const key of keys) await on.keyboard.press(key);
}

async function take(name: string): Promise<void> {
  await page.mouse.move(0, 0);
  await page.waitForTimeout(400);
  await page.screenshot({ path: `${folder}/${name}.png` });
}

await page.goto(address);
await page.getByRole("button", { name: "Plan the day" }).click();
await page.getByRole("group", { name: "Next" }).waitFor();
await take("today");
await page.goto(`${address}/diary`);
await page
  .getByRole("combobox", { name: "Passage" })
  .selectOption({ label: "The run over the black keys, Dark Water" });
await page.getByRole("img", { name: /^Tempo over time/ }).waitFor();
await take("diary");
await page.goto(`${address}/hands`);
await take("hands");
await page.goto(`${address}/hands/reach?against=octave-152`);
await page.getByRole("button", { name: /^1 and 5, octave/ }).click();
await take("reach-sheet");
await page.goto(`${address}/hands/measure`);
await page.getByRole("button", { name: "C 4" }).click();
await page.getByRole("button", { name: "B 4" }).click();
await take("measure-at-keys");
await open("The Iron Gate");
await page.getByText(/moments with more than one key/).waitFor();
await take("piece");
await open(/Chords at the gate/);
await engraved(page);
await press(page, ["ArrowRight", "ArrowRight", "ArrowRight"]);
await page
  .getByRole("button", { name: /^Choose: Roll it upward/ })
  .first()
  .waitFor();
await page.getByRole("region", { name: "Remedies" }).evaluate((part) => part.scrollIntoView({ block: "start" }));
await take("remedies");
await open(/Tune held over the leaves/);
await engraved(page);
await press(page, ["ArrowRight", "ArrowRight", "ArrowRight", "ArrowRight"]);
await take("bench");
await page.getByRole("tab", { name: "Hand plan" }).click();
await page.locator("svg[data-lane]").first().waitFor();
await take("hand-plan");
await page.getByRole("button", { name: "Slow motion" }).click();
await page.getByLabel("In step").selectOption("B");
await page.getByLabel("Speed").selectOption("0.5");
await page.getByRole("button", { name: "Move", exact: true }).click();
await page.waitForTimeout(1800);
await page.getByRole("button", { name: "Hold still" }).click();
await take("slow-motion");
await open(/By turns up the stairs/);
await engraved(page);
await page.getByRole("tab", { name: "Hands" }).click();
await page.getByRole("radio", { name: "Any", exact: true }).click();
await page.getByRole("button", { name: "Share out" }).click();
await page.locator("[data-taken]").first().waitFor();

await take("shared-hands");
await open(/^The run over the black keys bars/);
await engraved(page);
await page.getByRole("radio", { name: /^Option B/ }).click();
await page.getByRole("tab", { name: "Trials" }).click();
await page.getByRole("region", { name: "Takes", exact: true }).getByRole("button").first().click();
await page.locator('svg[data-lane="late"]').waitFor();
await page.getByRole("region", { name: "The take" }).evaluate((part) => part.scrollIntoView({ block: "start" }));
await take("trials");
await page.getByRole("link", { name: "Film desk" }).click();
const picture = page.getByRole("application");
await picture.waitFor();
await page.getByRole("combobox", { name: "At", exact: true }).selectOption({ index: 1 });
const planned = page.locator('[data-bones="plan"] rect');
await planned.nth(4).waitFor({ state: "attached" });
const tips = await planned.evaluateAll((all) =>
  all.map((one) => one.getBoundingClientRect()).map(({ x, y }) => ({ x, y })),
);
// Marked as a hand would: each a little off.
for (const [i, { x, y }] of tips.entries()) await page.mouse.click(x + 5 + (i % 2) * 3, y + 6 - i);
await page.getByRole("button", { name: "the thumb is late" }).click();
await page.evaluate(() => window.scrollTo(0, 0));
await take("film-desk");
await page.goBack();
await engraved(page);
await page.getByRole("link", { name: "Practice" }).click();
await engraved(page);
await take("practice");
await page.getByRole("button", { name: "From a metre away" }).click();
await engraved(page);
await take("far-desk");
await page.keyboard.press("Escape");
await page.goBack();
await engraved(page);
await page.getByRole("link", { name: "Side by side" }).click();
await engraved(page);
await page.waitForURL(/side-by-side/);
await page.getByText("Verdict").first().waitFor();
await page.getByRole("button", { name: /^Option C/ }).click();
await page.getByRole("figure", { name: /What it is made of/ }).waitFor();
await take("side-by-side");
await page.goto(page.url().replace("/side-by-side/", "/sheet/").split("?")[0]!);
await engraved(page);
await page.getByLabel("Release").check();
await page.locator('svg[data-lane="release"]').first().waitFor();
await take("sheet");
await page.goto(`${address}/enter`);
await page.getByLabel("Name").fill("Dusk over the ferry");
await page.getByLabel("Key signature").selectOption("-3");
await page.getByRole("heading", { level: 1 }).click();
for (const key of "8 e g b 6 a g 8 f g e d 4 g k b k h 2 e k b k 4 c g h".split(" ")) await page.keyboard.press(key);
await page.locator(".engraving g.note").nth(14).waitFor({ state: "attached" });
await take("enter");
await open(/^The run over the black keys bars/);
await page.evaluate(() => (document.documentElement.dataset["theme"] = "stage"));
await engraved(page);
await press(page, ["ArrowRight", "ArrowRight", "ArrowRight", "ArrowRight"]);
await take("bench-on-stage");
await browser.close();
