import { expect, test } from "@playwright/test";
import { engraved, kept, openOnBench } from "./support";
import { connect } from "@/db/client";
import { somePlayer } from "../support/some-player";

test("addresses with nonsense in them show the page, or say in a sentence what is not there", async ({ page }) => {
  for (const [address, title] of [
    ["/bench/nonsense", "No such passage"],
    ["/side-by-side/00000000-0000-4000-8000-00000000dead", "No such passage"],
    ["/pieces/%F0%9F%8E%B9", "No such piece"],
    ["/enter/nothing", "No such piece"],
    ["/nowhere/at/all", "Nothing lies here"],
    ["/hands/reach?against=octave-5&shape=round&cell=9-9&semitones=-999&hand=foot&keys=grey", "Reach sheet"],
    ["/hands/reach?against=octave-NaN", "Reach sheet"],
  ] as const) {
    await page.goto(address);
    await expect(page.getByRole("heading", { level: 1 })).toHaveText(title);
  }
  await page.goto("/");
  await page.getByRole("link", { name: "A Voice over Leaves", exact: true }).first().click();
  await page.waitForURL(/pieces/);
  await page.goto(`${page.url()}?octave=7`);
  await expect(page.getByRole("region", { name: "Survey" })).toContainText("in the place of 164.5 mm");
});

test("the Bench opens on nonsense in its address as on none", async ({ page }) => {
  await openOnBench(page, { title: "Astray" });
  const [bench] = page.url().split("?");
  await page.goto(`${bench}?note=b99&option=Z%00&tempo=1e999&build=nothing&aside=moon`);
  await engraved(page);
  await kept(page);
  await page.goto(`${bench}?tempo=-7&note=__proto__`);
  await engraved(page);
});

test("markup in titles, words and file names is shown as it is written and does nothing", async ({ page }) => {
  const alarms: string[] = [];
  page.on("dialog", (dialog) => {
    alarms.push(dialog.message());
    void dialog.dismiss();
  });
  const evil = "&lt;img src=x onerror=alert(1)&gt;&lt;script&gt;alert(2)&lt;/script&gt;";
  const score = `<score-partwise version="4.0"><work><work-title>${evil}</work-title></work><part-list><score-part id="P1"><part-name>${evil}</part-name></score-part></part-list><part id="P1"><measure number="1"><attributes><divisions>1</divisions><clef><sign>G</sign><line>2</line></clef></attributes><direction placement="above"><direction-type><words>${evil}</words></direction-type></direction><note><pitch><step>C</step><octave>5</octave></pitch><duration>4</duration><type>whole</type><lyric><text>${evil}</text></lyric></note></measure></part></score-partwise>`;
  await page.goto("/");
  await page
    .getByLabel("Bring in a score")
    .setInputFiles({ name: "<b onmouseover=alert(3)>.musicxml", mimeType: "text/xml", buffer: Buffer.from(score) });
  await expect(page.getByRole("heading", { level: 1 })).toContainText("<img src=x onerror=alert(1)>");
  await expect(page.locator(".engraving svg").first()).toBeVisible();
  await expect(page.locator(".engraving").first()).toContainText("onerror=alert(1)");
  expect(await page.locator(".engraving img, .engraving script, .engraving [onerror]").count()).toBe(0);
  expect(alarms).toEqual([]);
});

test("a score that is posted from another page is refused", async ({ request, baseURL }) => {
  const form = { file: { name: "a.musicxml", mimeType: "text/xml", buffer: Buffer.from("<a/>") } };
  const { db, close } = connect(process.env["DATABASE_URL"]!);
  const to = `/import?player=${(await somePlayer(db)).id}`;
  await close();
  const answer = await request.post(to, { multipart: form, headers: { origin: "http://elsewhere.example" } });
  expect(answer.status()).toBe(403);
  const own = await request.post(to, { multipart: form, headers: { origin: baseURL! } });
  expect(own.status()).toBe(422);
  expect(await own.text()).toContain("a.musicxml");
  const nobody = await request.post("/import", { multipart: form, headers: { origin: baseURL! } });
  expect(await nobody.json()).toEqual({ message: "This player is not there any more." });
});
