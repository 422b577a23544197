import { chromium } from "@playwright/test";
import { BROWSER_ARGS } from "../tests/browser/support";
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
const browser = await chromium.launch({ executablePath: "/usr/bin/chromium", args: BROWSER_ARGS });
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

await drop(piece(4));
await page.getByLabel("Name").fill("Timed");
await page.getByLabel("To bar").fill("4");
await page.getByRole("button", { name: "Open on the Bench" }).click();
await page.locator("g[data-note]").first().waitFor({ state: "attached" });
const times: number[] = [];
for (let i = 0; i < 12; i++) {
  await page.keyboard.press("ArrowRight");
  times.push(
    await page.evaluate(async () => {
      const shown = () => [...document.querySelectorAll("g[data-note] text")].map((t) => t.textContent).join("");
      const ring = document.querySelector(`g[data-note] text[fill="var(--velvet)"]`)?.textContent;
      const before = shown();
      const from = performance.now();
      document.body.dispatchEvent(
        new KeyboardEvent("keydown", {
          key: ring === "3" ? "2" : "3",
          code: ring === "3" ? "Digit2" : "Digit3",
          bubbles: true,
        }),
      );
      let last = from;
      let text = before;
      for (let quiet = 0; quiet < 12; quiet++) {
        await new Promise((resolve) => requestAnimationFrame(resolve));
        if (shown() !== text) [text, last, quiet] = [shown(), performance.now(), 0];
      }
      return last - from;
    }),
  );
  await page
    .getByRole("status")
    .filter({ hasText: /^Kept$/ })
    .waitFor();
}
times.sort((a, b) => a - b);
row(
  "from key press to the last new digit on the score, 64 notes",
  `${times[6]!.toFixed(0)} ms median, ${times[11]!.toFixed(0)} ms worst of ${times.length}`,
);
await browser.close();
