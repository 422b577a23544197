import { expect, test, type Page } from "@playwright/test";
import axe from "axe-core";
import { engraved } from "./support";

/** Address of a passage of the demo, once it has been looked up. */
let found: string | null = null;

async function demoPassage(page: Page): Promise<string> {
  if (found === null) {
    await page.goto("/");
    found = await page.getByRole("link", { name: /^The run over the black keys bars/ }).getAttribute("href");
  }
  return found!;
}

const SCREENS: readonly (readonly [string, (page: Page) => Promise<void>])[] = [
  ["Repertoire", async (page) => void (await page.goto("/"))],
  ["Hands", async (page) => void (await page.goto("/hands"))],
  ["Reach sheet", async (page) => void (await page.goto("/hands/reach?hand=both&against=other-hand"))],
  ["Measure at the keys", async (page) => void (await page.goto("/hands/measure"))],
  [
    "Piece",
    async (page) => {
      await page.goto("/");
      await page.getByRole("link", { name: "Dark Water", exact: true }).click();
      await expect(page.locator(".engraving g.note").first()).toBeAttached();
      await expect(page.getByText(/moments with more than one key/)).toBeVisible();
    },
  ],
  ["Players", async (page) => void (await page.goto("/players"))],
  ["Begin", async (page) => void (await page.goto("/players/new"))],
  ["Taken away", async (page) => void (await page.goto("/away"))],
  [
    "Bench",
    async (page) => {
      await page.goto(await demoPassage(page));
      await engraved(page);
    },
  ],
  [
    "Hand plan",
    async (page) => {
      await page.goto(`${await demoPassage(page)}?aside=plan`);
      await engraved(page);
      await page.getByRole("button", { name: "Slow motion" }).click();
      await expect(page.getByRole("img", { name: /from above/ })).toBeVisible();
    },
  ],
  [
    "Trials",
    async (page) => {
      await page.goto(`${await demoPassage(page)}?aside=trials`);
      await engraved(page);
      await page.getByRole("region", { name: "Takes", exact: true }).getByRole("button").first().click();
      await expect(page.getByRole("region", { name: "The take" })).toBeVisible();
    },
  ],
  [
    "Film desk",
    async (page) => {
      await page.goto((await demoPassage(page)).replace("/bench/", "/film/"));
      await expect(page.getByRole("application")).toBeVisible();
    },
  ],
  [
    "Practice",
    async (page) => {
      await page.goto((await demoPassage(page)).replace("/bench/", "/practice/"));
      await engraved(page);
    },
  ],
  [
    "From a metre away",
    async (page) => {
      await page.goto((await demoPassage(page)).replace("/bench/", "/practice/") + "?far=true");
      await engraved(page);
    },
  ],
  [
    "Sheet",
    async (page) => {
      await page.goto((await demoPassage(page)).replace("/bench/", "/sheet/"));
      await engraved(page);
    },
  ],
  ["Diary", async (page) => void (await page.goto("/diary"))],
  [
    "Story",
    async (page) => {
      await page.goto((await demoPassage(page)).replace("/bench/", "/diary?passage="));
      await expect(page.getByRole("img", { name: /^Tempo over time/ })).toBeVisible();
    },
  ],
  [
    "Remedies",
    async (page) => {
      await page.goto("/");
      await page.getByRole("link", { name: /Chords at the gate/ }).click();
      await engraved(page);
      await expect(page.getByRole("button", { name: /^Choose: Roll it/ }).first()).toBeVisible();
    },
  ],
  [
    "Side by side",
    async (page) => {
      await page.goto((await demoPassage(page)).replace("/bench/", "/side-by-side/"));
      await engraved(page);
      await expect(page.getByRole("img", { name: /^Strain against tempo/ })).toBeVisible();
    },
  ],
  [
    "Enter a passage",
    async (page) => {
      await page.goto("/enter");
      await page.keyboard.press("c");
      await expect(page.locator(".engraving g.note")).toHaveCount(1);
    },
  ],
];

const SIZES = [
  { width: 1280, height: 800 },
  { width: 820, height: 1180 },
];

// They only look: each may run beside any other.
test.describe.configure({ mode: "parallel" });

for (const [name, open] of SCREENS) {
  test(`${name} is accessible and does not scroll sideways, at either size and in either light`, async ({ page }) => {
    await page.setViewportSize(SIZES[0]!);
    await open(page);
    // The page is opened once: it is laid out anew for another size, and drawn in another light.
    for (const size of SIZES) {
      await page.setViewportSize(size);
      await checked(page, "paper");
      await page.getByRole("button", { name: "Dim or light the room" }).dispatchEvent("click");
      await checked(page, "stage");
      await page.getByRole("button", { name: "Dim or light the room" }).dispatchEvent("click");
    }
  });
}

/** What is asked in the first light, and what of it bears on the light: everything else has been checked by then. */
const ASKED: Readonly<Record<"paper" | "stage", axe.RunOnly>> = {
  paper: { type: "tag", values: ["wcag2a", "wcag2aa", "wcag21a", "wcag21aa", "wcag22aa"] },
  stage: { type: "rule", values: ["color-contrast"] },
};

async function checked(page: Page, theme: "paper" | "stage"): Promise<void> {
  // Sizes are taken where nothing is covered: what stays in sight lies over whatever is scrolled under it.
  await page.addStyleTag({ content: '[class*="sticky"] { position: static !important }' });
  await expect(page.locator("html")).toHaveAttribute("data-theme", theme);
  expect(await violations(page, ASKED[theme])).toEqual([]);
  // What is engraved is drawn anew for another width, a moment later.
  const aside = () => page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
  await expect.poll(aside).toBeLessThanOrEqual(0);
}

/** What is wrong on a page, by rule and place. The rules are brought into the page once, however often it is asked. */
async function violations(page: Page, runOnly: axe.RunOnly): Promise<readonly string[]> {
  if (!(await page.evaluate(() => "axe" in window))) await page.evaluate(axe.source);
  // Only what is wrong is looked up and told: what passes has no need of its place in the page.
  return page.evaluate(async (asked) => {
    const { run } = (window as unknown as { axe: typeof axe }).axe;
    const found = await run(document, { runOnly: asked, resultTypes: ["violations"] });
    return found.violations.map(({ id, nodes }) => `${id}: ${nodes.map(({ target }) => target.join(" ")).join(", ")}`);
  }, runOnly);
}
