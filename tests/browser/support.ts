import { expect, type Locator, type Page } from "@playwright/test";
import { connect } from "@/db/client";
import { handMeasurement, pianist } from "@/db/schema";
import { DEMO_MEASUREMENTS } from "@/demo/scenario";
import { PLAYING } from "@/core/physics";
import { demoPianist } from "@/db/queries/pianists";
import { closeThreads } from "@/server/threads/pool";
import { keptPassage } from "../support/kept-passage";
import { bytes, noteXml, scoreXml } from "../support/musicxml";

/** Debian's Chromium without a window. */
export const CHROMIUM = "/usr/bin/chromium-headless-shell";

export const BROWSER_ARGS = [
  "--no-sandbox",
  "--disable-gpu",
  "--disable-quic",
  "--no-first-run",
  "--disable-background-networking",
  "--disable-component-update",
  "--disable-sync",
];

/** A made-up piece of three bars: a run, a broken chord with a chord, and a bar with a printed digit. */
export const RUN = scoreXml([
  ["C4", "D4", "E4", "F4", "G4", "A4", "B4", "C5"].map((p) => noteXml(p, { length: 6 })).join(""),
  ["E5", "C5", "G4", "E4"].map((p) => noteXml(p, { length: 6 })).join("") +
    noteXml("C4", { length: 24 }) +
    noteXml("E4", { length: 24, chord: true }) +
    noteXml("G4", { length: 24, chord: true }),
  noteXml("F4", { length: 48, notations: "<notations><technical><fingering>4</fingering></technical></notations>" }),
]);

/** Lets a new player with the hands of the demo's play in this page: what happens to those hands happens to nobody else. */
export async function asNewPlayer(page: Page, baseURL: string): Promise<void> {
  const { db, close } = connect(process.env["DATABASE_URL"]!);
  const [made] = await db.insert(pianist).values({ name: "Somebody else" }).returning();
  await db.insert(handMeasurement).values(DEMO_MEASUREMENTS.map((one) => ({ ...one, pianistId: made!.id })));
  await close();
  await page.context().addCookies([{ name: "velvet-player", value: made!.id, url: baseURL }]);
}

/** Waits until a part of the page answers: what is done to it before is done to paper. */
export async function alive(part: Locator): Promise<void> {
  const answers = () => part.evaluate((element) => Object.keys(element).some((key) => key.startsWith("__reactProps")));
  await expect.poll(answers).toBe(true);
}

export async function importScore(page: Page, text: string, name = "a-run.musicxml"): Promise<void> {
  await page.goto("/");
  await alive(page.getByLabel("Bring in a score"));
  await page
    .getByLabel("Bring in a score")
    .setInputFiles({ name, mimeType: "application/xml", buffer: Buffer.from(bytes(text)) });
}

/**
 * Opens some bars of a piece on the Bench as a passage of whoever plays on the page. They are brought in and worked out here,
 * where it takes no page: how a player does it is looked at in path.spec.
 */
export async function openOnBench(
  page: Page,
  { title, bars: [fromBar, toBar] = [1, 2], text = RUN }: { title: string; bars?: [number, number]; text?: string },
): Promise<void> {
  const { db, close } = connect(process.env["DATABASE_URL"]!);
  const named = (await page.context().cookies()).find(({ name }) => name === "velvet-player")?.value;
  const playerId = named ?? (await demoPianist(db))!.id;
  const of = { title, fromBar, toBar, playerId, tempo: PLAYING.usualTempo, file: "a-run.musicxml" };
  const passageId = await keptPassage(db, text, of);
  await closeThreads();
  await close();
  await page.goto(`/bench/${passageId}`);
  await expect(page.getByRole("heading", { level: 1, name: title })).toBeVisible();
  await engraved(page);
  await expect(page.getByRole("radio", { name: /^Option A/ })).toBeVisible();
}

/** Waits until the music stands on the page with its digits. */
export async function engraved(page: Page): Promise<void> {
  await expect(page.locator(".engraving g.note").first()).toBeAttached();
  await expect(page.locator("g[data-note]").first()).toBeAttached();
}

/** The digits of an option as they stand on the score, by note. */
export async function digitsShown(page: Page, option = "A"): Promise<Record<string, string>> {
  return page
    .locator(`g[data-layer="${option}"]`)
    .evaluateAll(
      (all) =>
        Object.fromEntries(
          all.map((g) => [g.getAttribute("data-note"), g.querySelector("text")!.textContent]),
        ) as Record<string, string>,
    );
}

export async function kept(page: Page): Promise<void> {
  await expect(page.getByRole("status").filter({ hasText: /^Kept$/ })).toBeVisible();
}

/**
 * A MIDI piano that stands in for a real one: what is played on it comes as from a device, by `send` of its window, or by
 * `sendAt` with the time of the device's own clock, which is right however late the page hears of it.
 */
export async function withPiano(page: Page): Promise<void> {
  await page.addInitScript(() => {
    const piano = Object.assign(new EventTarget(), {
      ...{ id: "1", name: "Stand-in piano", manufacturer: "", type: "input", state: "connected", connection: "open" },
      version: "1",
      open: () => Promise.resolve(piano),
      close: () => Promise.resolve(piano),
      onmidimessage: null as ((event: unknown) => void) | null,
    });
    const access = Object.assign(new EventTarget(), {
      inputs: new Map([["1", piano]]),
      outputs: new Map(),
      onstatechange: null,
    });
    Object.defineProperty(navigator, "requestMIDIAccess", { value: () => Promise.resolve(access) });
    const sendAt = (timeStamp: number, ...data: number[]): void =>
      piano.onmidimessage?.({ data: new Uint8Array(data), timeStamp, target: piano });
    Object.assign(window, { sendAt, send: (...data: number[]): void => sendAt(performance.now(), ...data) });
  });
}
