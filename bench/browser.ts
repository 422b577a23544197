import { chromium } from "@playwright/test";
import { DRAWINGS } from "@/components/score/engraving/kept-engravings";
import { BROWSER_ARGS, CHROMIUM } from "../tests/browser/support";
import { noteXml, scoreXml } from "../tests/support/musicxml";
import { seeded } from "../tests/support/seeded";

/** Figures of the real interface in the real browser, against the server named by VELVET_ADDRESS. */
const address = process.env["VELVET_ADDRESS"] ?? "";
const random = seeded(60);
const STEPS = ["C", "D", "E", "F", "G", "A", "B"];

/** A made-up piece of so many bars of sixteenths. */
function piece(bars: number): string {
  const bar = () =>
    Array.from({ length: 16 }, () => noteXml(`${random.pick(STEPS)}${random.whole(4, 5)}`, { length: 3 })).join("");
  return scoreXml(Array.from({ length: bars }, bar));
}

const row = (what: string, figure: string): void => console.log(`${what.padEnd(66)} ${figure}`);
const browser = await chromium.launch({ executablePath: CHROMIUM, args: BROWSER_ARGS });
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
// The compiler names functions by a helper that the page does not have.
await page.addInitScript("globalThis.__name = (named) => named");

async function drop(text: string, beforeDropping = 0): Promise<number> {
  await page.goto(address);
  await page.waitForTimeout(beforeDropping);
  const from = performance.now();
  await page
    .getByLabel("Bring in a score")
    .setInputFiles({ name: "made-up.musicxml", mimeType: "application/xml", buffer: Buffer.from(text) });
  await page.locator(".engraving g.note").first().waitFor({ state: "attached" });
  return performance.now() - from;
}

row("from drop to first engraving, 60 bars, engraver cold", `${(await drop(piece(60))).toFixed(0)} ms`);
row("from drop to first engraving, 60 bars, page open for 4 s", `${(await drop(piece(60), 4000)).toFixed(0)} ms`);

/** Opens a new piece of so many bars on the Bench and waits for its digits. */
async function open(bars: number, name: string): Promise<void> {
  await drop(piece(bars));
  await page.getByLabel("Name").fill(name);
  await page.getByLabel("To bar").fill(String(bars));
  await page.getByRole("button", { name: "Open on the Bench" }).click();
  await page.locator("g[data-note]").first().waitFor({ state: "attached" });
  await page.getByRole("radio", { name: /^Option A/ }).waitFor();
}

/** Middle and worst of some times. */
function spread(times: readonly number[]): string {
  const sorted = [...times].sort((a, b) => a - b);
  const middle = sorted[Math.floor(sorted.length / 2)]!;
  return `${middle.toFixed(0)} ms median, ${sorted.at(-1)!.toFixed(0)} ms worst of ${sorted.length}`;
}

/** From a key press to the last new digit that it brings. */
async function pressed(): Promise<number> {
  await page.keyboard.press("ArrowRight");
  await page.waitForTimeout(400);
  const ms = await page.evaluate(async () => {
    const shown = () => [...document.querySelectorAll("g[data-note] text")].map((t) => t.textContent).join("");
    const ring = document.querySelector(`g[data-note] text[fill="var(--velvet)"]`)?.textContent;
    const from = performance.now();
    document.body.dispatchEvent(
      new KeyboardEvent("keydown", {
        key: ring === "3" ? "2" : "3",
        code: ring === "3" ? "Digit2" : "Digit3",
        bubbles: true,
      }),
    );
    let [last, text] = [from, shown()];
    for (let quiet = 0; quiet < 12; quiet++) {
      await new Promise((resolve) => requestAnimationFrame(resolve));
      if (shown() !== text) [text, last, quiet] = [shown(), performance.now(), 0];
    }
    return last - from;
  });
  await page
    .getByRole("status")
    .filter({ hasText: /^Kept$/ })
    .waitFor();
  return ms;
}

/** Empties what the browser has kept of engravings. */
async function forgetEngravings(): Promise<void> {
  await page.evaluate(
    ({ database, held }) =>
      new Promise<void>((resolve, reject) => {
        const opening = indexedDB.open(database);
        opening.onerror = () => reject(new Error(`There is no ${database} in this browser.`));
        opening.onsuccess = () => {
          if (!opening.result.objectStoreNames.contains(held))
            return reject(new Error(`There are no ${held} in ${database}.`));
          const writing = opening.result.transaction(held, "readwrite");
          writing.objectStore(held).clear();
          writing.oncomplete = () => resolve();
        };
      }),
    DRAWINGS,
  );
}

/** What the engraver alone takes for the music on the page: from another size asked for until it is drawn. */
async function engraverAlone(): Promise<number[]> {
  const times: number[] = [];
  for (const key of ["Equal", "Equal", "Equal", "Minus", "Minus", "Minus", "Minus", "Minus"]) {
    // What was engraved once is kept: forgotten here, so that it is engraved again.
    await forgetEngravings();
    await page.waitForTimeout(300);
    // Listening begins before the key is pressed, however busy the page is.
    const watching = await page.evaluateHandle(() => {
      const before = document.querySelector(".engraving svg");
      const changed = (async () => {
        await new Promise((resolve) => addEventListener("keydown", resolve, { once: true }));
        const from = performance.now();
        while (document.querySelector(".engraving svg") === before && performance.now() - from < 5000)
          await new Promise((resolve) => requestAnimationFrame(resolve));
        return performance.now() - from;
      })();
      return { changed };
    });
    await page.keyboard.press(key);
    times.push(await watching.evaluate(({ changed }) => changed));
  }
  await page.keyboard.press("Equal");
  await page.keyboard.press("Equal");
  await page.waitForTimeout(600);
  return times;
}

/** Frames a second while the tempo slider is dragged to and fro for two seconds. */
async function dragged(): Promise<number> {
  const thumb = page.getByRole("slider", { name: /^Tempo/ });
  const box = (await thumb.boundingBox())!;
  const y = box.y + box.height / 2;
  await page.mouse.move(box.x + 10, y);
  await page.mouse.down();
  const counting = page.evaluate(async () => {
    const from = performance.now();
    let frames = 0;
    while (performance.now() - from < 2000) {
      await new Promise((resolve) => requestAnimationFrame(resolve));
      frames++;
    }
    return (frames * 1000) / (performance.now() - from);
  });
  for (let i = 0; i < 100; i++) {
    await page.mouse.move(box.x + 10 - 200 + 180 * Math.sin(i / 8), y);
    await page.waitForTimeout(18);
  }
  const rate = await counting;
  await page.mouse.up();
  await page.keyboard.press("Escape");
  return rate;
}

/** From a press on a passage in the repertoire, engraver warm, to its digits on the engraved score. */
async function opened(title: string): Promise<number> {
  await page.goto(address);
  await page.waitForTimeout(4000);
  return page.evaluate(async (named) => {
    const link = [...document.querySelectorAll("a")].find((a) => a.textContent.includes(named))!;
    const from = performance.now();
    link.click();
    while (!document.querySelector("g[data-note]")) await new Promise((resolve) => requestAnimationFrame(resolve));
    return performance.now() - from;
  }, title);
}

/** ms from the end of a take, the last frame in which it can be ended by hand, to its figures on the page. */
async function tried(): Promise<number> {
  await page.keyboard.press("y");
  await page.getByRole("button", { name: "End it" }).waitFor();
  return page.evaluate(async () => {
    const next = () => new Promise((resolve) => requestAnimationFrame(resolve));
    const isPlayed = () => [...document.querySelectorAll("button")].some((b) => b.textContent.includes("End it"));
    let from = performance.now();
    while (isPlayed()) {
      await next();
      from = performance.now();
    }
    while (!document.querySelector(`section[aria-label="The take"]`)) await next();
    return performance.now() - from;
  });
}

for (const bars of [4, 16]) {
  await open(bars, `Timed over ${bars} bars`);
  const times: number[] = [];
  for (let i = 0; i < 12; i++) times.push(await pressed());
  row(`from key press to the last new digit on the score, ${bars * 16} notes`, spread(times));
  row(`the engraver alone for the same music, warm`, spread(await engraverAlone()));
  row(`frames a second while the tempo is dragged, ${bars * 16} notes`, (await dragged()).toFixed(0));
  const ends: number[] = [];
  for (let i = 0; i < 3; i++) ends.push(await tried());
  row(`from the end of a take to what it came to, ${bars * 16} notes`, spread(ends));
  const anew: number[] = [];
  for (let i = 0; i < 5; i++) {
    await page.goto(address);
    await forgetEngravings();
    anew.push(await opened(`Timed over ${bars} bars`));
  }
  row(`opening the passage, engraved anew, ${bars * 16} notes`, spread(anew));
  // Left open until all of it is engraved and kept.
  await page.waitForTimeout(3000);
  const again: number[] = [];
  for (let i = 0; i < 5; i++) again.push(await opened(`Timed over ${bars} bars`));
  row(`opening the passage, the engraving kept, ${bars * 16} notes`, spread(again));
}
await browser.close();
