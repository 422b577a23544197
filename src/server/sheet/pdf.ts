import { access } from "node:fs/promises";
import type { Answer } from "../types";

/** Where Debian puts its headless Chromium. */
const CHROMIUM = "/usr/bin/chromium-headless-shell";
const FLAGS = ["--no-sandbox", "--disable-gpu", "--no-first-run", "--disable-background-networking", "--disable-sync"];
/** ms in which the page has to be whole. */
const MOST_MS = 60_000;

/** By what a sheet shows that it is whole: everything worked out, every note engraved, digits on them. */
const WHOLE = 'article[aria-label="Sheet"][aria-busy="false"]:has(.engraving g.note):has(g[data-note])';

/**
 * A sheet as a PDF file, printed by the same Chromium that the tests use once the page is whole. Where it is not installed, or
 * the page does not become whole, the answer says so.
 * @param address of the sheet, on this machine
 */
export async function pdfOf(address: string): Promise<Answer<Uint8Array>> {
  const isThere = await access(CHROMIUM).then(
    () => true,
    () => false,
  );
  if (!isThere) return { ok: false, message: NOT_THERE };
  const { chromium } = await import("playwright-core");
  const browser = await chromium.launch({ executablePath: CHROMIUM, args: FLAGS });
  try {
    const page = await browser.newPage();
    await page.goto(address, { timeout: MOST_MS });
    await page.locator(WHOLE).waitFor({ timeout: MOST_MS });
    // Lines beyond the first are drawn a little later, each in a frame of its own.
    await page.waitForFunction(
      () => document.querySelectorAll("[aria-busy=true]").length === 0 && document.fonts.status === "loaded",
      null,
      { timeout: MOST_MS },
    );
    await page.waitForTimeout(SETTLED);
    return { ok: true, value: new Uint8Array(await page.pdf({ preferCSSPageSize: true, printBackground: true })) };
  } catch (error) {
    console.error(error);
    return { ok: false, message: FAILED };
  } finally {
    await browser.close();
  }
}

/** ms after which nothing moves on a page any more. */
const SETTLED = 500;

const NOT_THERE =
  "A PDF file needs Chromium on this machine, and it is not there. Print the sheet from the browser instead.";
const FAILED = "The sheet could not be printed into a file. Print it from the browser instead.";
