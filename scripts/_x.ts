import { chromium } from "@playwright/test";
import { CHROMIUM, BROWSER_ARGS } from "../tests/browser/support";
async function main() {
  const browser = await chromium.launch({ executablePath: CHROMIUM, args: BROWSER_ARGS });
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, baseURL: "http://127.0.0.1:4100" });
  await page.goto("/");
  await page.getByText("The run over the black keys").first().click();
  await page.waitForTimeout(2000); const id=/[0-9a-f-]{36}/.exec(page.url())![0]; await page.screenshot({ path: "/tmp/s0.png" }); await page.goto("/bench/"+id);
  const url = page.url();
  console.log(url);
  await page.waitForTimeout(4000);
  // 15: slow motion with second option
  await page.getByRole("tab", { name: "Hand plan" }).click();
  await page.getByRole("button", { name: "Slow motion" }).click();
  await page.waitForTimeout(2500);
  await page.getByLabel("In step").selectOption({ index: 1 });
  await page.waitForTimeout(2500);
  await page.screenshot({ path: "/tmp/s1.png" });
  await page.getByRole("tab", { name: "Trials" }).click();
  await page.waitForTimeout(1500);
  await page.getByRole("button", { name: "Try a snip of it" }).click();
  await page.keyboard.press("y");
  await page.waitForTimeout(6000);
  await page.screenshot({ path: "/tmp/s2.png" });
  await page.getByRole("button", { name: "The whole again" }).click();
  await page.keyboard.press("y");
  await page.waitForTimeout(12000);
  await page.getByRole("region", { name: "Takes", exact: true }).getByRole("button", { name: /Hold it/ }).nth(2).click();
  await page.waitForTimeout(1500);
  await page.screenshot({ path: "/tmp/s3.png", fullPage: false });
  await browser.close();
}
void main();
