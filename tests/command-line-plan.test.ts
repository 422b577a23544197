import { mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { plan } from "@/cli/plan";
import { noteXml, scoreXml } from "./support/musicxml";

/** The same words, answered in JSON. */
const json = (args: readonly string[]): readonly string[] => (args.includes("--json") ? args : [...args, "--json"]);

const folder = mkdtempSync(join(tmpdir(), "velvet-"));
afterAll(() => rmSync(folder, { recursive: true }));

const scale = join(folder, "scale.musicxml");
const KEYS = ["C4", "D4", "E4", "F4", "G4", "A4", "B4", "C5"];
writeFileSync(scale, scoreXml([KEYS.map((key) => noteXml(key, { length: 6 })).join("")]));

describe("velvet -- plan", () => {
  const planned = (...args: string[]) => {
    const lines: Record<string, unknown>[] = [];
    const code = plan(json(args), (line) => lines.push(JSON.parse(line) as Record<string, unknown>));
    return { code, line: lines[0]! };
  };

  it("prints a frame for every onset with where each finger stands, and the figures of the plan", () => {
    const { code, line } = planned(scale, "--hand", "right", "--tempo", "120", "--json");
    expect(code).toBe(0);
    const [hand] = line["hands"] as {
      hand: string;
      frames: { x: number; short: number | null; room: { x: { least: number; most: number } }; tips: unknown[] }[];
      releases: { time: number; travel: number; window: number; short: number }[];
      impulses: unknown[];
    }[];
    expect(hand!.hand).toBe("right");
    expect(hand!.frames.length).toBeGreaterThanOrEqual(4);
    for (const frame of hand!.frames) {
      expect(frame.tips.length).toBeGreaterThan(0);
      expect(frame.short).toBeNull();
      // Both rounded.
      expect(frame.x).toBeGreaterThan(frame.room.x.least - 0.2);
      expect(frame.x).toBeLessThan(frame.room.x.most + 0.2);
    }
    for (const { time, travel, window, short } of hand!.releases) expect(window + travel - short).toBeCloseTo(time, 1);
    expect(hand!.impulses.length).toBeGreaterThan(0);
    expect(Array.isArray(line["warnings"])).toBe(true);
  });

  it("refuses what finger refuses", () => {
    expect(planned(scale, "--hand", "third").code).toBe(1);
    expect(planned("--hand", "right").code).toBe(1);
  });
});
