import { readFileSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { trial } from "@/cli/trial";
import { pitch } from "@/core/keyboard/pitch";
import { writeTake } from "@/formats/midi/write-midi";
import { file, folder, scale } from "./support/command-line";

const KEYS = [60, 62, 64, 65];

function midi(name: string, keys: readonly (readonly [number, number])[]): string {
  const struck = keys.map(([key, downMs]) => ({ key: pitch(key), downMs, upMs: downMs + 200, velocity: 64 }));
  const path = join(folder, name);
  writeFileSync(path, writeTake({ keys: struck, pedal: [] }));
  return path;
}

const asWritten = midi(
  "written.mid",
  KEYS.map((key, i) => [key, i * 208]),
);

function run(...args: string[]) {
  const lines: string[] = [];
  const code = trial(args, { print: (line) => lines.push(line), tell: () => undefined });
  return { code, lines, line: (): Record<string, unknown> => JSON.parse(lines[0]!) as Record<string, unknown> };
}

describe("velvet -- trial", () => {
  it("prints what each key was, the runs and the figures", () => {
    const { code, line } = run(scale, asWritten, "--hand", "right", "--tempo", "96", "--json");
    expect(code).toBe(0);
    const { keys, runs, figures, clean } = line() as {
      keys: { kind: string; midi: number; note: string }[];
      runs: { from: number; to: number; missed: string[] }[];
      figures: { id: string; amount: number; unit: string }[];
      clean: boolean;
    };
    expect(keys.map(({ kind, midi: key }) => [kind, key])).toEqual(KEYS.map((key) => ["right", key]));
    expect(runs).toEqual([{ from: 0, to: 3, missed: [] }]);
    expect(figures.find(({ id }) => id === "tempo")!.amount).toBeCloseTo(96, 0);
    expect(clean).toBe(true);
  });

  it("says what went astray, in lines to read as well", () => {
    const astray = midi("astray.mid", [
      [60, 0],
      [61, 208],
      [65, 624],
    ]);
    const { lines, code } = run(scale, astray, "--hand", "right", "--tempo", "96");
    expect(code).toBe(0);
    expect(lines.join("\n")).toMatch(/2 keys went astray/);
    expect(lines.join("\n")).toMatch(/bar 1 +wrong +C sharp 4/);
  });

  it("answers bad input with an error and nothing else", () => {
    const broken = join(folder, "broken.mid");
    writeFileSync(broken, readFileSync(asWritten).subarray(0, 30));
    for (const args of [
      [scale, "--hand", "right"],
      [scale, join(folder, "none.mid"), "--hand", "right"],
      [scale, broken, "--hand", "right"],
      [scale, file("text.mid", "no midi"), "--hand", "right"],
      [asWritten, asWritten, "--hand", "right"],
      [scale, asWritten, asWritten, "--hand", "right"],
      [scale, asWritten, "--hand", "third"],
    ]) {
      const { code, lines, line } = run(...args, "--json");
      expect(code).toBe(1);
      expect(lines).toHaveLength(1);
      expect(typeof line()["error"]).toBe("string");
    }
  });
});
