import { readdirSync, readFileSync, statSync, type Stats } from "node:fs";
import { join } from "node:path";
import { LARGEST_FILE, TOO_LARGE } from "@/formats/musicxml/reading/open";

/** The word for what comes on the standard input. */
const STANDARD_INPUT = "-";

/** The bytes of a file, or a sentence that says why there are none. */
export function bytesOf(file: string): Uint8Array | string {
  try {
    if (file === STANDARD_INPUT) return readFileSync(0);
    const stats = statSync(file);
    return problemWith(stats) ?? readFileSync(file);
  } catch (error) {
    return REASONS[(error as NodeJS.ErrnoException).code ?? ""] ?? "The file cannot be read.";
  }
}

/** Asked before anything is read: a pipe would be waited for, and a file of any size be taken in. */
function problemWith(stats: Stats): string | null {
  if (!stats.isFile())
    return "This is no file. A score that comes from another command is named - and read from the standard input.";
  return stats.size > LARGEST_FILE ? TOO_LARGE : null;
}

const REASONS: Readonly<Partial<Record<string, string>>> = {
  ENOENT: "There is no such file.",
  EACCES: "The file may not be read by you.",
  ENAMETOOLONG: "There is no such file: its name is too long.",
  ELOOP: "The file cannot be read: its links lead round in a circle.",
};

/** Files as named, and in place of a folder the scores in it, by name. */
export function filesIn(names: readonly string[]): readonly string[] {
  return names.flatMap((name) => {
    if (name === STANDARD_INPUT || !isFolder(name)) return [name];
    const scores = readdirSync(name).filter((file) => /\.(musicxml|mxl|xml)$/i.test(file));
    return scores.sort().map((file) => join(name, file));
  });
}

function isFolder(name: string): boolean {
  return statSync(name, { throwIfNoEntry: false })?.isDirectory() ?? false;
}
