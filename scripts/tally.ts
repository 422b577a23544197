import { existsSync, readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";

/** Adds up what the suites said; a skipped test, and a suite that said nothing, count as failed. The last line is for machines. */
const folder = process.argv[2] ?? "";

interface Count {
  readonly passed: number;
  readonly failed: number;
}

function jest(name: string): Count {
  const { numPassedTests, numTotalTests, numRuntimeErrorTestSuites } = JSON.parse(
    readFileSync(join(folder, name), "utf8"),
  ) as Record<string, number>;
  return { passed: numPassedTests!, failed: numTotalTests! - numPassedTests! + numRuntimeErrorTestSuites! };
}

function browser(name: string): Count {
  const { stats, errors } = JSON.parse(readFileSync(join(folder, name), "utf8")) as {
    stats: Record<string, number>;
    errors: unknown[];
  };
  return {
    passed: stats["expected"]!,
    failed: stats["unexpected"]! + stats["flaky"]! + stats["skipped"]! + errors.length,
  };
}

function suite(name: string, count: (file: string) => Count): readonly [string, Count] {
  const file = `${name}.json`;
  if (!existsSync(join(folder, file))) return [`${name} (did not run)`, { passed: 0, failed: 1 }];
  const counted = count(file);
  return [name, counted.passed + counted.failed === 0 ? { passed: 0, failed: 1 } : counted];
}

const steps = readdirSync(folder)
  .filter((file) => file.endsWith(".step"))
  .map((file): readonly [string, Count] => {
    const ok = readFileSync(join(folder, file), "utf8").trim() === "passed";
    return [file.replace(".step", ""), { passed: ok ? 1 : 0, failed: ok ? 0 : 1 }];
  });
const all = [...steps, suite("unit", jest), suite("database", jest), suite("browser", browser)];
for (const [name, { passed, failed }] of all) console.log(`${name}: ${passed} passed, ${failed} failed`);
const passed = all.reduce((sum, [, c]) => sum + c.passed, 0);
const failed = all.reduce((sum, [, c]) => sum + c.failed, 0);
process.exitCode = failed === 0 ? 0 : 1;
console.log(`${passed} passed, ${failed} failed`);
