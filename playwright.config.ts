import { defineConfig } from "@playwright/test";
import { BROWSER_ARGS, CHROMIUM } from "./tests/browser/support";

const port = process.env["VELVET_PORT"] ?? "3100";

/** Browser tests against the production build, on Debian's Chromium. Started by scripts/test.sh. */
export default defineConfig({
  testDir: "tests/browser",
  outputDir: ".test-data/browser",
  // They wait more than they compute.
  workers: 3,
  // What is waited for on a machine that is ten times as slow: who waits in vain loses a minute, and only then.
  timeout: 300_000,
  expect: { timeout: 60_000 },
  reporter: [["list"], ["json", { outputFile: ".test-data/results/browser.json" }]],
  use: {
    baseURL: `http://127.0.0.1:${port}`,
    viewport: { width: 1280, height: 800 },
    launchOptions: { executablePath: CHROMIUM, args: BROWSER_ARGS },
    // A trace keeps every page after every step, whether it fails or not, which takes a third of the time; a picture is enough.
    trace: "off",
    screenshot: "only-on-failure",
  },
  webServer: {
    command: `node node_modules/next/dist/bin/next start -H 127.0.0.1 -p ${port}`,
    url: `http://127.0.0.1:${port}/health`,
    reuseExistingServer: false,
    timeout: 60_000,
  },
});
