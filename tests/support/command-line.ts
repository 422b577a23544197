import { mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { finger } from "@/cli/finger";
import { noteXml, scoreXml } from "./musicxml";

/** The same words, answered in JSON. */
export const json = (args: readonly string[]): readonly string[] =>
  args.includes("--json") ? args : [...args, "--json"];

/** Where the files of this suite are. */
export const folder = mkdtempSync(join(tmpdir(), "velvet-"));
afterAll(() => rmSync(folder, { recursive: true }));

/** Writes a file that is there until the tests of this suite end. */
export function file(name: string, text: string): string {
  const path = join(folder, name);
  writeFileSync(path, text);
  return path;
}

/** A line of answers, as far as tests look at it. */
export interface Line {
  readonly file: string;
  readonly error?: string;
  readonly notes: { id: string; bar: number; onset: string; midi: number; staff: number }[];
  readonly options: {
    name: string;
    strain: number;
    peak: number;
    fingering: { note: string; hand: string; finger: number | null; reason?: string; remedies?: { kind: string }[] }[];
  }[];
}

/** Runs `finger` and reads its lines. */
export function run(...args: string[]): { code: number; lines: Line[] } {
  const lines: Line[] = [];
  const code = finger(json(args), (line) => lines.push(JSON.parse(line) as Line));
  return { code, lines };
}

/** Four notes up. */
export const scale = file(
  "scale.musicxml",
  scoreXml([["C4", "D4", "E4", "F4"].map((p) => noteXml(p, { length: 4 })).join("")]),
);
