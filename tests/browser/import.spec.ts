import { expect, test } from "@playwright/test";
import { strToU8, zipSync } from "fflate";
import { pitch } from "@/core/keyboard/pitch";
import { writeTake } from "@/formats/midi/write-midi";
import { alive, asNewPlayer, engraved, importScore, RUN } from "./support";

const container = `<container><rootfiles><rootfile full-path="score.xml"/></rootfiles></container>`;

test("a compressed score comes in by drag", async ({ page }) => {
  await page.goto("/");
  const packed = zipSync({ "META-INF/container.xml": strToU8(container), "score.xml": strToU8(RUN) });
  const data = await page.evaluateHandle((base64) => {
    const transfer = new DataTransfer();
    const content = Uint8Array.from(atob(base64), (c) => c.charCodeAt(0));
    transfer.items.add(new File([content], "packed.mxl"));
    return transfer;
  }, Buffer.from(packed).toString("base64"));
  const field = page.getByText("Drop it here");
  await alive(field);
  await field.dispatchEvent("drop", { dataTransfer: data });
  await expect(page.getByRole("heading", { level: 1, name: "packed" })).toBeVisible();
  await expect(page.getByText("3 bars, from packed.mxl")).toBeVisible();
});

for (const [what, text, words] of [
  ["broken XML", RUN.replace("</part>", ""), /torn\.musicxml: The file is not well-formed XML.*line \d+/],
  ["another kind of XML", "<recipe/>", /not MusicXML: it begins with <recipe>/],
  ["an empty file", "", /The file is empty/],
] as const) {
  test(`${what} is refused with a sentence and leaves nothing behind`, async ({ page, baseURL }) => {
    // What others bring in meanwhile is not in this player's list.
    await asNewPlayer(page, baseURL!);
    await page.goto("/");
    const before = await page.getByRole("listitem").count();
    await importScore(page, text, "torn.musicxml");
    await expect(page.getByRole("alert").filter({ hasText: words })).toBeVisible();
    await page.reload();
    expect(await page.getByRole("listitem").count()).toBe(before);
  });
}

test("what was played comes in as it was heard; what is doubtful is marked on the score and changed with one gesture", async ({
  page,
  baseURL,
}) => {
  await asNewPlayer(page, baseURL!);
  const played = [60, 61, 62, 63, 64, 63, 62, 61, 60, 48, 72, 60].map((key, i) => {
    const downMs = 300 * i + 14 * (i % 3);
    return { key: pitch(key), downMs, upMs: downMs + 250, velocity: i % 4 === 0 ? 80 : 60 };
  });
  await page.goto("/");
  await alive(page.getByLabel("Bring in a score"));
  const file = { name: "evening.mid", mimeType: "audio/midi" };
  await page
    .getByLabel("Bring in a score")
    .setInputFiles({ ...file, buffer: Buffer.from(writeTake({ keys: played, pedal: [] })) });
  const heard = page.getByRole("region", { name: "As it was heard" });
  await expect(heard.getByRole("heading", { name: /^1 note is doubtful/ })).toBeVisible();
  const sign = page.locator("[data-doubtful]");
  await expect(sign).toHaveCount(1);
  const note = (await sign.getAttribute("data-doubtful"))!;
  expect(note).toMatch(/^b2-s1-/);
  await heard.getByRole("button", { name: "Bar 2, C: right hand" }).click();
  await expect(page).toHaveURL(new RegExp(`note=${note}`));
  await heard.getByRole("button", { name: "Write left hand" }).click();
  await expect(heard.getByText("Bar 2, C: left hand")).toBeVisible();
  await expect(sign).toHaveAttribute("data-doubtful", /^b2-s2-/);
  await heard.getByLabel("Bars of").selectOption("3/4");
  await expect(heard.getByLabel("Bars of")).toHaveValue("3/4");
  await expect(page.getByText("from evening.mid")).toBeVisible();
});

test("a passage form complains beside the field and loses nothing", async ({ page }) => {
  await importScore(page, RUN);
  await page.getByLabel("Name", { exact: true }).fill("Wrong bars");
  await page.getByLabel("To bar").fill("9");
  await page.getByRole("button", { name: "Open on the Bench" }).click();
  await expect(page.getByRole("alert").filter({ hasText: "The piece has 3 bars." })).toBeVisible();
  await expect(page.getByLabel("Name", { exact: true })).toHaveValue("Wrong bars");
});

test("digits printed in the file are an option from the start", async ({ page }) => {
  await importScore(page, RUN);
  await page.getByLabel("Name", { exact: true }).fill("Last bar");
  await page.getByLabel("From bar").fill("3");
  await page.getByLabel("To bar").fill("3");
  await page.getByRole("combobox", { name: "Hands" }).selectOption("Right hand");
  await page.getByRole("button", { name: "Open on the Bench" }).click();
  await page.getByRole("radio", { name: /as printed/ }).click();
  await engraved(page);
  await expect(page.locator(`g[data-note="b3-s1-v1-n1"] text`)).toHaveText("4");
});
