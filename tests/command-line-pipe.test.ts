import { spawnSync } from "node:child_process";
import { file } from "./support/command-line";
import { noteXml, scoreXml } from "./support/musicxml";

describe("velvet in a pipe", () => {
  it("ends without a word where nobody reads on", () => {
    const long = file("long.xml", scoreXml(Array.from({ length: 200 }, () => noteXml("C4", { length: 48 }))));
    const { status, stdout, stderr } = spawnSync(
      "bash",
      ["-c", 'set -o pipefail; bin/velvet finger "$0" --hand right --options 5 --json | head -c 20', long],
      { encoding: "utf8" },
    );
    expect(stdout).toMatch(/^{"file":/);
    expect([status, stderr]).toEqual([0, ""]);
  });
});
