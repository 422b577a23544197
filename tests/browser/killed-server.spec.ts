import { spawn, type ChildProcess } from "node:child_process";
import { createServer } from "node:net";
import { expect, test } from "@playwright/test";
import { digitsShown, engraved, kept, openOnBench } from "./support";

/** A server of this test's own, on the test database, that can be killed without a word. */
class Server {
  private process: ChildProcess | null = null;

  constructor(readonly port: number) {}

  async start(): Promise<void> {
    this.process = spawn(
      process.execPath,
      ["node_modules/next/dist/bin/next", "start", "-H", "127.0.0.1", "-p", String(this.port)],
      { stdio: "ignore" },
    );
    await expect
      .poll(() =>
        fetch(`http://127.0.0.1:${this.port}/health`).then(
          (r) => r.ok,
          () => false,
        ),
      )
      .toBe(true);
  }

  async kill(): Promise<void> {
    const gone = new Promise((resolve) => this.process!.once("exit", resolve));
    this.process!.kill("SIGKILL");
    await gone;
  }
}

function freePort(): Promise<number> {
  return new Promise((resolve) => {
    const server = createServer();
    server.listen(0, "127.0.0.1", () => {
      const { port } = server.address() as { port: number };
      server.close(() => resolve(port));
    });
  });
}

test("nothing that was shown as kept is lost when the server is killed between clicks", async ({ browser }) => {
  test.setTimeout(300_000);
  const server = new Server(await freePort());
  await server.start();
  const context = await browser.newContext({
    baseURL: `http://127.0.0.1:${server.port}`,
    viewport: { width: 1280, height: 800 },
  });
  const page = await context.newPage();
  try {
    await openOnBench(page, { title: "Through a power cut" });
    const bench = page.url();

    // Killed right after a pin is shown as kept.
    await page.keyboard.press("3");
    await kept(page);
    const pinned = await digitsShown(page);
    await server.kill();
    await server.start();
    await page.goto(bench);
    await engraved(page);
    expect(await digitsShown(page)).toEqual(pinned);

    // Killed before a pin: the page says that it is not kept, and keeps it when the server is back.
    await server.kill();
    await page.keyboard.press("ArrowRight");
    await page.keyboard.press("5");
    await expect(page.getByRole("status").filter({ hasText: "Not kept yet" })).toBeVisible();
    await server.start();
    await kept(page);
    const later = await digitsShown(page);
    expect(later["b1-s1-v1-n2"]).toBe("5");
    await server.kill();
    await server.start();
    await page.reload();
    await engraved(page);
    expect(await digitsShown(page)).toEqual(later);

    // Undo still goes back over both, and a verdict shown as taken stays taken.
    await page.getByRole("button", { name: "Undo" }).click();
    await expect.poll(() => digitsShown(page)).toEqual(pinned);
    await kept(page);
    await page.getByRole("link", { name: "Side by side" }).click();
    await page.getByRole("radio", { name: "Take option B" }).click();
    await page.getByLabel("Why").fill("Steady in the dark.");
    await page.getByRole("button", { name: "Take it" }).click();
    await expect(page.getByText("is taken.")).toBeVisible();
    const verdict = page.url();
    await server.kill();
    await server.start();
    await page.goto(verdict);
    await expect(page.getByRole("region", { name: "Verdict" })).toContainText("Steady in the dark.");
  } finally {
    await context.close();
    await server.kill();
  }
});
