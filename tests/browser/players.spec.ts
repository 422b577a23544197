import { readFileSync } from "node:fs";
import { expect, test, type Page } from "@playwright/test";
import { alive, kept, openOnBench } from "./support";

/** Opens what can be done with something and chooses from it. */
async function choose(page: Page, thing: string, what: string): Promise<void> {
  await page
    .getByRole("button", { name: `What can be done with ${thing}`, exact: true })
    .first()
    .click();
  await page.getByRole("menuitem", { name: what }).click();
}

async function begin(page: Page, name: string): Promise<void> {
  await page.goto("/");
  await page.getByRole("link", { name: "Begin with your own hands" }).click();
  await page.getByLabel("Your name").fill(name);
  await page.getByLabel("Span on a ruler, mm").fill("186");
  await page.getByLabel("What it is called").fill("Harbour evening");
  await page.getByLabel("Day", { exact: true }).fill("2031-02-14");
  await page.getByRole("button", { name: "Begin", exact: true }).click();
  await expect(page.getByRole("heading", { name: `${name}’s repertoire` })).toBeVisible();
}

test("a player begins with hands of their own, and the demo's player is a click away", async ({ page }) => {
  await begin(page, "Iris Vane");
  await expect(page.getByText("No pieces yet.")).toBeVisible();
  await expect(page.getByText(/Harbour evening.*14 February 2031/)).toBeVisible();
  await page.getByRole("link", { name: "Hands", exact: true }).click();
  await expect(page.getByLabel("Right hand, span on a ruler, mm")).toHaveValue("186");
  await openOnBench(page, { title: "A run of one's own" });
  await page.getByRole("button", { name: "Player: Iris Vane" }).click();
  await page.getByRole("menuitem", { name: "Maro Telland" }).click();
  await expect(page.getByRole("heading", { name: "Maro Telland’s repertoire" })).toBeVisible();
  await expect(page.getByText("A run of one's own")).toHaveCount(0);
  await page.goto("/players");
  await page.getByRole("button", { name: "Play as Iris Vane" }).click();
  await expect(page.getByText("A run of one's own")).toBeVisible();
  await page.goto("/players");
  const coming = page.waitForEvent("download");
  await page.getByRole("link", { name: "Archive of Iris Vane" }).click();
  const file = (await (await coming).path())!;
  const archive = page.getByRole("region", { name: "Archive" });
  await alive(archive.getByLabel("Bring in an archive"));
  await archive
    .getByLabel("Bring in an archive")
    .setInputFiles({ name: "iris.zip", mimeType: "application/zip", buffer: readFileSync(file) });
  await expect(archive.getByRole("status")).toHaveText("Everything of Iris Vane was here already.");
  await archive
    .getByLabel("Bring in an archive")
    .setInputFiles({ name: "other.zip", mimeType: "application/zip", buffer: Buffer.from("no zip") });
  await expect(archive.getByRole("alert")).toContainText("it is no whole zip file. Nothing was changed.");
  await choose(page, "Iris Vane", "Take away");
  await expect(page.getByRole("button", { name: "Player: Maro Telland" })).toBeVisible();
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(page.getByText("Iris Vane", { exact: true }).first()).toBeVisible();
});

test("a beginning without a name or a span is asked for in a sentence, and nothing typed is lost", async ({ page }) => {
  await page.goto("/players/new");
  await page.getByLabel("What it is called").fill("Harbour evening");
  await page.getByLabel("Span on a ruler, mm").fill("20");
  await page.getByRole("button", { name: "Begin", exact: true }).click();
  await expect(page.getByText("Say your name.")).toBeVisible();
  await expect(page.getByText(/A span is at least/)).toBeVisible();
  await expect(page.getByText("Say its day.")).toBeVisible();
  await expect(page.getByLabel("What it is called")).toHaveValue("Harbour evening");
});

test("pieces, passages, options and recitals are renamed, taken away and had back", async ({ page }) => {
  await begin(page, "Odo Finch");
  await choose(page, "Harbour evening", "Move to another day…");
  await page.getByLabel("Harbour evening is held on").fill("2031-03-01");
  await page.getByRole("button", { name: "Move it" }).click();
  await expect(page.getByText(/1 March 2031/).first()).toBeVisible();

  await openOnBench(page, { title: "Stair" });
  await choose(page, "Option A", "Rename…");
  await page.getByLabel("A name of your own, or none").fill("for the cold room");
  await page.getByRole("button", { name: "Keep the name" }).click();
  await expect(page.getByRole("radio", { name: /^Option A, for the cold room/ })).toBeVisible();
  await page.getByRole("radio", { name: /^Option B/ }).click();
  await choose(page, "Option B", "Take away");
  await expect(page.getByRole("radio", { name: /^Option B/ })).toHaveCount(0);
  await page.getByRole("listitem").getByRole("button", { name: "Undo" }).first().click();
  await expect(page.getByRole("radio", { name: /^Option B/ })).toBeVisible();
  await kept(page);

  await choose(page, "Stair", "Take away");
  await page.waitForURL("**/pieces/**");
  await page.getByLabel("Played at").selectOption("Harbour evening");
  await choose(page, "a-run", "Rename…");
  await page.getByLabel("Name", { exact: true }).last().fill("Stairs in the rain");
  await page.getByRole("button", { name: "Keep the name" }).click();
  await expect(page.getByRole("heading", { name: "Stairs in the rain" })).toBeVisible();
  await page.getByRole("link", { name: "Repertoire" }).click();
  await page.getByRole("link", { name: "Taken away: 1" }).click();
  await page.getByRole("button", { name: "Bring back passage Stair" }).click();
  await expect(page.getByText("Nothing is away.")).toBeVisible();
  await page.getByRole("link", { name: "Repertoire" }).click();
  await page.getByRole("link", { name: /^Stair bars/ }).click();
  await expect(page.getByRole("radio", { name: /^Option A, for the cold room/ })).toBeVisible();
});

test("the way home is in sight wherever the Bench is scrolled to", async ({ page }) => {
  await openOnBench(page, { title: "Far down" });
  const home = page.getByRole("link", { name: "Repertoire" });
  for (const part of [0, 0.5, 1]) {
    await page.evaluate((share) => window.scrollTo(0, share * document.documentElement.scrollHeight), part);
    await expect(home).toBeInViewport({ ratio: 1 });
  }
  await home.click();
  await expect(page.getByRole("heading", { name: /repertoire/ })).toBeVisible();
});
