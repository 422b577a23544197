import { explain } from "@/cli/explain";
import { file, json, scale } from "./support/command-line";
import { noteXml, scoreXml } from "./support/musicxml";

describe("velvet -- explain", () => {
  const explained = (...args: string[]) => {
    const lines: unknown[] = [];
    const code = explain(json(args), (line) => lines.push(JSON.parse(line)));
    return { code, line: lines[0] as Explained };
  };
  interface Explained {
    readonly strain: number;
    readonly notes: { finger: number; from: string; strain: number; causes: { strain: number; words: string }[] }[];
  }

  it("prints the causes of the digits in the file, and of what is worked out around them", () => {
    const given = scoreXml([
      noteXml("C4", { notations: "<notations><technical><fingering>4</fingering></technical></notations>" }) +
        noteXml("D4") +
        noteXml("E4") +
        noteXml("F4"),
    ]);
    const { code, line } = explained(file("given.xml", given), "--hand", "right", "--pin", "b1-s1-v1-n3=5");
    expect(code).toBe(0);
    expect(line.notes.map((n) => n.from)).toEqual(["printed", "worked out", "pin", "worked out"]);
    expect([line.notes[0]!.finger, line.notes[2]!.finger]).toEqual([4, 5]);
    for (const { strain, causes } of line.notes)
      expect(causes.reduce((sum, c) => sum + c.strain, 0)).toBeCloseTo(strain, 1);
    const mean = line.notes.reduce((sum, n) => sum + n.strain, 0) / line.notes.length;
    expect(mean).toBeCloseTo(line.strain, 1);
  });

  it("says for each stretch that it would change, why", () => {
    const given = scoreXml([
      ["C4", "D4", "E4", "F4", "G4", "A4", "B4", "C5"]
        .map((p, i) =>
          noteXml(p, {
            length: 6,
            notations: `<notations><technical><fingering>${"12341235"[i]}</fingering></technical></notations>`,
          }),
        )
        .join(""),
    ]);
    const { line } = explained(file("otherwise.xml", given), "--hand", "right");
    const { changes } = line as unknown as { changes: { by: number; why: string; notes: string[] }[] };
    expect(changes.length).toBeGreaterThan(0);
    for (const { why, by } of changes) {
      expect(why).toMatch(/notes? differs?, from bar 1/);
      expect(Number.isFinite(by)).toBe(true);
    }
  });

  it("cuts the passage into positions and names the joins", () => {
    const octave = scoreXml([
      ["C4", "D4", "E4", "F4", "G4", "A4", "B4", "C5"].map((p) => noteXml(p, { length: 6 })).join(""),
    ]);
    const { line } = explained(file("octave.xml", octave), "--hand", "right", "--pin", "b1-s1-v1-n4=1");
    const { positions } = line as unknown as { positions: { notes: string[]; join: { kind: string } | null }[] };
    expect(positions.map((p) => p.join?.kind ?? null)).toEqual([null, "thumb pass"]);
    expect(positions.flatMap((p) => p.notes)).toHaveLength(8);
  });

  it("refuses what finger refuses", () => {
    expect(explained(scale, "--hand", "third").code).toBe(1);
    expect(explained("--hand", "right").code).toBe(1);
  });
});
