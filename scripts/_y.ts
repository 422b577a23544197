import { chromium } from "@playwright/test";
import { CHROMIUM, BROWSER_ARGS } from "../tests/browser/support";
async function main() {
  const browser = await chromium.launch({ executablePath: CHROMIUM, args: BROWSER_ARGS });
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, baseURL: "http://127.0.0.1:4100" });
  page.setDefaultTimeout(15000);
  await page.goto("/");
  const links = await page.$$eval("a[href^='/pieces/']", (a) => a.map((x) => [x.textContent, x.getAttribute("href")]));
  console.log(links);
  await page.goto(links.find(([t]) => t === "Dark Water")![1]!);
  await page.getByRole("button", { name: "Map of takes" }).click();
  await page.waitForTimeout(2500);
  await page.getByRole("button", { name: /^Bar 2:/ }).first().click();
  await page.screenshot({ path: "/tmp/s6.png" });
  await page.goto("/hands");
  await page.getByRole("button", { name: "What do they say?" }).click();
  await page.waitForTimeout(6000);
  await page.getByRole("region", { name: "From your own takes" }).scrollIntoViewIfNeeded();
  await page.screenshot({ path: "/tmp/s7.png" });
  await browser.close();
}
void main();
