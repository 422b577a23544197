import { mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { finger } from "@/cli/finger";
import { noteXml, scoreXml } from "./support/musicxml";

const folder = mkdtempSync(join(tmpdir(), "velvet-"));
afterAll(() => rmSync(folder, { recursive: true }));

function file(name: string, text: string): string {
  const path = join(folder, name);
  writeFileSync(path, text);
  return path;
}

interface Line {
  readonly file: string;
  readonly error?: string;
  readonly notes: { id: string; bar: number; onset: string; midi: number; staff: number }[];
  readonly options: {
    name: string;
    strain: number;
    peak: number;
    fingering: { note: string; hand: string; finger: number | null; reason?: string }[];
  }[];
}

function run(...args: string[]): { code: number; lines: Line[] } {
  const lines: Line[] = [];
  const code = finger(args, (line) => lines.push(JSON.parse(line) as Line));
  return { code, lines };
}

const scale = file(
  "scale.musicxml",
  scoreXml([["C4", "D4", "E4", "F4"].map((p) => noteXml(p, { length: 4 })).join("")]),
);

describe("velvet -- finger", () => {
  it("prints a JSON line a file, notes in order and one entry of the fingering for each", () => {
    const { code, lines } = run(scale, "--hand", "right", "--options", "3", "--json");
    expect(code).toBe(0);
    expect(lines).toHaveLength(1);
    const { notes, options } = lines[0]!;
    expect(notes[1]).toEqual({ id: "b1-s1-v1-n2", bar: 1, onset: "1/3", midi: 62, staff: 1 });
    expect(options.map((o) => o.name)).toEqual(["A", "B", "C"]);
    for (const { fingering } of options) expect(fingering.map((f) => f.note)).toEqual(notes.map((n) => n.id));
    expect(options[0]!.strain).toBeLessThanOrEqual(options[1]!.strain);
    expect(new Set(options.map((o) => o.fingering.map((f) => f.finger).join())).size).toBe(3);
  });

  it("takes the hand as asked on one staff, and staff 1 as right on two", () => {
    expect(run(scale, "--hand", "left", "--json").lines[0]!.options[0]!.fingering[0]!.hand).toBe("left");
    const both = scoreXml(
      [
        noteXml("C5", { length: 48 }) +
          "<backup><duration>48</duration></backup>" +
          noteXml("C3", { length: 48, staff: 2, voice: 5 }),
      ],
      { staves: 2 },
    );
    const { lines } = run(file("both.xml", both), "--hand", "both", "--json");
    expect(lines[0]!.options[0]!.fingering.map((f) => f.hand)).toEqual(["left", "right"]);
    expect(run(file("both.xml", both), "--hand", "left", "--json").lines[0]!.notes.map((n) => n.midi)).toEqual([48]);
  });

  it("does not list tied continuations again, and gives null with a reason where no finger can play", () => {
    const text = scoreXml([
      noteXml("C3", { length: 48, tie: ["start"] }) +
        ["G3", "E4", "C5"].map((p) => noteXml(p, { length: 48, chord: true })).join(""),
      noteXml("C3", { length: 48, tie: ["stop"] }),
    ]);
    const { fingering } = run(file("wide.xml", text), "--hand", "right", "--span-right", "185").lines[0]!.options[0]!;
    expect(fingering).toHaveLength(4);
    const none = fingering.filter((f) => f.finger === null);
    expect(none.length).toBeGreaterThan(0);
    for (const { reason } of none) expect(reason).toMatch(/\.$/);
  });

  it("tells errors in the line of their file and does the others", () => {
    const { code, lines } = run(
      file("torn.xml", "<score-partwise>"),
      scale,
      join(folder, "missing.xml"),
      "--hand",
      "right",
      "--json",
    );
    expect(code).toBe(1);
    expect(lines.map((l) => l.error !== undefined)).toEqual([true, false, true]);
    expect(lines[0]!.error).toMatch(/not well-formed XML.*line 1/);
  });

  it.each([
    [["--hand", "third"]],
    [["--tempo", "0", "--hand", "left"]],
    [["--span-right", "20", "--hand", "left"]],
    [["--wide", "yes"]],
    [[]],
  ])("refuses a command that makes no sense: %p", (args) => {
    const { code, lines } = run(...(args.length > 0 ? [scale, ...args] : ["--hand", "left"]));
    expect(code).toBe(1);
    expect(lines[0]!.error!.length).toBeGreaterThan(10);
  });
});
