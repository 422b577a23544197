import { readFileSync } from "node:fs";
import { expect, test, type Page } from "@playwright/test";
import { noteXml, scoreXml, spelled } from "../support/musicxml";
import { seeded } from "../support/seeded";
import { digitsShown, engraved, importScore, openOnBench } from "./support";

const chord = (...pitches: string[]) => pitches.map((p, i) => noteXml(p, { chord: i > 0 })).join("");
/** A chord beyond this hand, then three notes. */
const GATE = scoreXml([chord("A3", "E4", "A4", "E5") + ["C5", "D5", "E5"].map((p) => noteXml(p)).join("")]);

test("a remedy is chosen, stands on the score, is played, exported and undone", async ({ page }) => {
  await openOnBench(page, { title: "Beyond", bars: [1, 1], text: GATE });
  const ways = page.getByRole("region", { name: "Remedies" });
  await expect(ways.getByRole("heading")).toContainText(/Out of reach: 1 and 5 are \d+ mm short/);
  // What the best remedy would give stands where there would be a gap, in dots, with its sign.
  await expect(page.locator("[data-sign='suggested']").first()).toBeAttached();
  await expect(page.locator(".engraving ~ svg g[data-remedy]")).not.toHaveCount(0);
  const upward = ways.getByRole("button", { name: /^Choose: Roll it upward.*ending on the beat/ });
  await upward.click();
  await expect(ways.getByText("Chosen here: rolled")).toBeVisible();
  await expect(page.locator(".engraving ~ svg g[data-remedy='roll']")).toHaveCount(1);
  await expect.poll(async () => Object.values(await digitsShown(page))).not.toContain("–");
  await expect(page.locator("[data-sign='suggested']")).toHaveCount(0);
  const download = page.waitForEvent("download");
  await page.getByRole("link", { name: "Export A" }).click();
  const file = readFileSync((await (await download).path())!, "utf8");
  expect(file.match(/<arpeggiate direction="up"\/>/g)).toHaveLength(4);
  await page.reload();
  await engraved(page);
  await expect(page.locator("g[data-remedy='roll']").first()).toBeVisible();
  await ways.getByRole("button", { name: "As written" }).click();
  await expect(ways.getByText("Chosen here: rolled")).toBeHidden();
  await page.getByRole("button", { name: "Undo" }).last().click();
  await expect(ways.getByText("Chosen here: rolled")).toBeVisible();
});

test("a note taken by the other hand keeps the moment in hand, and so does one that is left out", async ({ page }) => {
  const left = ["A2", "E3", "A2", "E3"].map((p) => noteXml(p, { staff: 2, voice: 5 })).join("");
  const right = chord("A3", "E4", "A4", "E5") + ["C5", "D5", "E5"].map((p) => noteXml(p)).join("");
  const text = scoreXml([`${right}<backup><duration>48</duration></backup>${left}`], { staves: 2 });
  await openOnBench(page, { title: "Two hands", bars: [1, 1], text });
  const remedies = page.getByRole("region", { name: "Remedies" });
  await remedies.getByRole("button", { name: /^Choose: Take A 3 with the left hand/ }).click();
  await expect(remedies.getByText("Chosen here: other hand")).toBeVisible();
  await expect(page.locator("g[data-remedy='other-hand']").first()).toBeVisible();
  await page.reload();
  await expect(remedies.getByText("Chosen here: other hand")).toBeVisible();
  await remedies.getByRole("button", { name: /^Choose: Leave out A 3/ }).click();
  await expect(remedies.getByText("Chosen here: left out")).toBeVisible();
  await expect(page.locator(".engraving ~ svg g[data-remedy='omit']")).toHaveCount(1);
});

/** Presses Stop from the first moment it is in sight until the survey says that it was stopped: a test would find it too late. */
async function stopsAtOnce(page: Page): Promise<void> {
  await page.addInitScript(() => {
    const pressing = setInterval(() => {
      const survey = document.querySelector('section[aria-label="Survey"]');
      if (survey?.textContent.includes("The survey was stopped.")) return clearInterval(pressing);
      [...(survey?.querySelectorAll("button") ?? [])].find((each) => each.textContent === "Stop")?.click();
    }, 5);
  });
}

test("a long piece is surveyed in the background, can be stopped, and leads to a new passage", async ({ page }) => {
  // No chord comes twice as it is, so that there is something to survey.
  const random = seeded(44);
  const bars = Array.from({ length: 200 }, () =>
    Array.from({ length: 4 }, () => {
      const low = random.whole(48, 64);
      return chord(...[0, random.whole(2, 5), random.whole(6, 9), random.whole(10, 17)].map((up) => spelled(low + up)));
    }).join(""),
  );
  await stopsAtOnce(page);
  await importScore(page, scoreXml(bars), "long.musicxml");
  const survey = page.getByRole("region", { name: "Survey" });
  await expect(survey.getByText("The survey was stopped.")).toBeVisible();
  await survey.getByRole("button", { name: "Survey the piece" }).click();
  // The page answers while the survey runs.
  await page.getByLabel("Name", { exact: true }).fill("While it runs");
  await expect(page.getByLabel("Name", { exact: true })).toHaveValue("While it runs");
  await expect(survey.getByText(/Of 800 moments with more than one key to hold/)).toBeVisible();
  await expect(survey.getByRole("button", { name: /^Bar \d+: / })).toHaveCount(200);
  await survey.getByRole("button", { name: /^Bar 150: / }).click();
  await expect(page.getByLabel("From bar")).toHaveValue("150");
  await expect(page.getByLabel("Name", { exact: true })).toHaveValue("While it runs");
  await expect(page.getByText("The piano part has one staff")).toBeVisible();
});
