import { expect, test, type Page } from "@playwright/test";
import { asNewPlayer, digitsShown, engraved, openOnBench, withPiano } from "./support";

test("a fingertip drawn, a figure typed and an interval chosen are kept and there after a reload", async ({
  page,
  baseURL,
}) => {
  await asNewPlayer(page, baseURL!);
  await page.goto("/hands");
  await page.getByRole("radio", { name: "Widest" }).click();
  const widest = page.getByLabel("Left hand, 1 and 5, widest, no force, mm");
  const before = Number(await widest.inputValue());
  const little = page.getByRole("slider", { name: "left little finger" });
  const box = (await little.boundingBox())!;
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x - 6, y, { steps: 4 });
  await page.mouse.up();
  await expect(widest).not.toHaveValue(String(before));
  const drawn = await widest.inputValue();
  expect(Number(drawn)).toBeGreaterThan(before);
  await page.getByLabel("Left hand, 2 and 4, widest, no force, mm").fill("83");
  await page.getByRole("radio", { name: "Intervals" }).click();
  await page.getByLabel("Left hand, 1 and 4, comfortable, as an interval of white keys").selectOption("sixth");
  await page.getByRole("radio", { name: "Millimetres" }).click();
  const left = page.getByRole("region", { name: "Left hand" });
  await left.getByRole("button", { name: "Keep as a new measurement" }).click();
  await expect(left.getByRole("button", { name: "Keep as a new measurement" })).toBeHidden();
  await page.reload();
  await expect(widest).toHaveValue(drawn);
  await expect(page.getByLabel("Left hand, 2 and 4, widest, no force, mm")).toHaveValue("83");
  await expect(page.getByLabel("Left hand, 1 and 4, comfortable, mm")).toHaveValue("103");
  // Taken away again, and that can be undone.
  await takeAway(page, "Left hand");
  await expect(widest).toHaveValue(String(before));
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(widest).toHaveValue(drawn);
  await takeAway(page, "Left hand");
  await expect(widest).toHaveValue(String(before));
});

test("a figure that no hand can have is refused in a sentence and stays as typed", async ({ page }) => {
  await page.goto("/hands");
  const span = page.getByLabel("Right hand, span on a ruler, mm");
  await span.fill("500");
  await expect(page.getByRole("alert").filter({ hasText: "outside what a hand can be" })).toBeVisible();
  await expect(span).toHaveValue("500");
  await expect(page.getByRole("button", { name: "Keep as a new measurement" })).toBeDisabled();
});

/** Takes the newest measurement of a hand away. */
async function takeAway(page: Page, hand: string): Promise<void> {
  await page
    .getByRole("button", { name: new RegExp(`^What can be done with ${hand}`) })
    .first()
    .click();
  await page.getByRole("menuitem", { name: "Take away" }).click();
}

/** The upper key for each of the twenty questions: 1 and 5 first, then the thumb's other pairs, then the rest. */
function keysFor(question: number): string {
  const [comfortable, widest] = question <= 2 ? ["B 4", "C 5"] : question <= 8 ? ["F 4", "G 4"] : ["F 4", "F 4"];
  return question % 2 ? comfortable! : widest!;
}

test("all pairs can be measured with nothing but keys", async ({ page, baseURL }) => {
  await asNewPlayer(page, baseURL!);
  await page.goto("/hands/measure");
  const questions = 20;
  for (let i = 1; i <= questions; i++) {
    await expect(page.getByText(`${i} of ${questions}`, { exact: true })).toBeVisible();
    await page.getByRole("button", { name: "C 4" }).click();
    await page.getByRole("button", { name: keysFor(i) }).click();
    await page.getByRole("button", { name: "Take it" }).click();
  }
  await expect(page.getByRole("heading", { name: "Right hand: what was measured" })).toBeVisible();
  await expect(page.getByRole("listitem").filter({ hasText: "mm comfortable" })).toHaveCount(10);
  await page.getByRole("button", { name: "Keep it as measured today" }).click();
  await page.getByRole("link", { name: "Hands" }).last().click();
  await expect(page.getByText(/10 of 10 pairs; at the keys/)).toBeVisible();
  await takeAway(page, "Right hand");
  await expect(page.getByText(/10 of 10 pairs; at the keys/)).toBeHidden();
});

test("a MIDI piano that plays two keys is heard", async ({ page }) => {
  await withPiano(page);
  await page.goto("/hands/measure");
  await page.getByRole("button", { name: "Connect a MIDI piano" }).click();
  await expect(page.getByText("Listening to Stand-in piano.")).toBeVisible();
  await page.evaluate(() => {
    const { send } = window as unknown as { send: (...data: number[]) => void };
    send(0x90, 60, 64);
    send(0x90, 72, 64);
  });
  await expect(page.getByText(/^C 4 and C 5: 150 mm/)).toBeVisible();
});

test("a cell of the reach sheet shows the hand on the keys, in an address that can be opened again", async ({
  page,
}) => {
  await page.goto("/hands/reach");
  await page.getByRole("button", { name: /^1 and 4, minor seventh/ }).click();
  const shown = page.getByRole("region", { name: "The hand on the keys" });
  await expect(shown.getByRole("heading")).toContainText("1 and 4, minor seventh");
  await expect(shown.locator('g[data-playing="true"]')).toHaveCount(2);
  await page.getByLabel("Against").selectOption("an octave of 140 mm");
  await expect(page.getByRole("button", { name: /^1 and 5, major tenth.*out of reach, against/ })).toBeVisible();
  await page.waitForURL(/against=octave-140/);
  await page.reload();
  await expect(shown.getByRole("heading")).toContainText("1 and 4, minor seventh");
  await expect(page.getByRole("combobox", { name: "Against" })).toHaveValue("octave-140");
});

test("a resting finger is not used by what is worked out after, and every answer says so", async ({
  page,
  baseURL,
}) => {
  await asNewPlayer(page, baseURL!);
  await openOnBench(page, { title: "Without the fourth" });
  const bench = page.url();
  expect(Object.values(await digitsShown(page))).toContain("4");
  await page.goto("/hands");
  await page.getByText("Mark fingers or a whole hand as resting").click();
  const form = page.getByRole("form", { name: "Resting" });
  await form.getByRole("checkbox", { name: "4" }).check();
  await form.getByLabel("Why").fill("a made-up cut");
  await form.getByRole("button", { name: "Mark as resting" }).click();
  const resting = page.getByRole("region", { name: "Resting" });
  await expect(resting.getByText("Right 4")).toBeVisible();
  await page.goto("/hands/reach");
  await expect(page.getByText(/Right 4 is resting/)).toBeVisible();
  await page.goto(bench);
  await expect(page.getByText(/Right 4 is resting/)).toBeVisible();
  await page.getByRole("button", { name: "Work out anew" }).click();
  await expect(page.getByText(/uses resting fingers/)).toBeHidden();
  await engraved(page);
  const digits = Object.values(await digitsShown(page));
  expect(digits.length).toBeGreaterThan(8);
  expect(digits).not.toContain("4");
  await page.goto("/hands");
  await resting.getByRole("button", { name: "Plays again" }).click();
  await expect(resting.getByText("Every finger may play.")).toBeVisible();
});
