import { writeFileSync } from "node:fs";
import type { Fingering } from "@/core/fingering/study/fingering";
import { handOf } from "@/core/passage/passage";
import { writeFile, writeFingering } from "@/formats/musicxml/writing/write-fingering";
import { openedFile, type Opened } from "./file-study";
import { filesIn } from "./input";
import { wishesFrom, type Wishes } from "./wishes";

/** Where a command speaks to: its answers, and what is said beside them. */
export interface Speaking {
  print(line: string): void;
  tell(line: string): void;
}

/** A command as it is called. */
export interface Called {
  readonly name: string;
  readonly summary: string;
  /** @returns 0 when all is done, 1 when something could not be, or the words make no sense */
  run(args: readonly string[], speaking: Speaking): number;
}

/** What a command finds of one file. */
export interface WordsFound {
  /** As a line of JSON. */
  readonly entry: object;
  /** As lines to read. */
  readonly table: readonly string[];
  /** The digits that --out writes. */
  readonly fingering: Fingering | null;
}

/** A command that answers for each file by itself. */
export interface Command {
  readonly name: string;
  /** What it is for, in one sentence. */
  readonly summary: string;
  readonly usage: string;
  find(opened: Opened, wishes: Wishes): WordsFound;
}

/** A command that is run on each of its files. */
export function eachFile(command: Command): Called {
  const { name, summary } = command;
  return { name, summary, run: (args, speaking) => run(command, args, speaking) };
}

/**
 * Answers for each file: with --json in a JSON line of its own, else in lines to read.
 * @returns 0 when all is done, 1 when a file could not be, or the words of the command make no sense
 */
export function run(command: Command, args: readonly string[], { print, tell }: Speaking): number {
  const asJson = args.includes("--json");
  const parsed = wishesFrom(args);
  if (parsed === "help") {
    print(helpOn(command));
    return 0;
  }
  const refuse = (message: string): number => {
    if (asJson) print(JSON.stringify({ error: message }));
    else tell(`${message}\nFor all words: velvet ${command.name} --help`);
    return 1;
  };
  if (typeof parsed === "string") return refuse(parsed);
  const files = filesIn(parsed.files);
  if (files.length === 0) return refuse("The folder holds no score (.musicxml, .mxl or .xml).");
  if (parsed.wishes.out !== undefined && files.length > 1) return refuse("--out takes the fingering of one file.");
  let code = 0;
  for (const file of files) {
    if (process.stderr.isTTY) tell(`${file}: working …`);
    const opened = openedFile(file, parsed.wishes);
    if (typeof opened === "string") {
      code = 1;
      if (asJson) print(JSON.stringify({ file, error: opened }));
      else tell(`${file}: ${opened}`);
      continue;
    }
    const found = command.find(opened, parsed.wishes);
    const taken = {
      tempo: opened.study.manner.tempo,
      tempoFrom: opened.tempoFrom,
      part: opened.part.id,
      remarks: opened.remarks,
    };
    if (asJson) print(JSON.stringify({ file, ...taken, ...found.entry }));
    else for (const line of [...headOf(file, opened), ...found.table, ""]) print(line);
    const problem = parsed.wishes.out === undefined ? null : writeOut(opened, found.fingering, parsed.wishes.out);
    if (problem) {
      tell(problem);
      code = 1;
    }
  }
  return code;
}

function headOf(file: string, { study, tempoFrom, part, remarks }: Opened): readonly string[] {
  return [
    file,
    `part ${part.id}${part.name && part.name !== part.id ? ` (${part.name})` : ""}, ${study.manner.tempo} quarter notes a minute (${tempoFrom})`,
    ...remarks.map((words) => `! ${words}`),
    "",
  ];
}

/** The file with the digits in it. Returns what went wrong. */
function writeOut({ study, score, part }: Opened, fingering: Fingering | null, to: string): string | null {
  if (fingering === null) return "--out: there are no digits to write.";
  const hands = new Map(study.passage.notes.map((note) => [note.id, handOf(note, study.passage)]));
  const xml = writeFingering(score, part, { fingering, handOf: (note) => hands.get(note) ?? "right" });
  try {
    writeFileSync(to, writeFile(score, xml));
    return null;
  } catch (error) {
    return `--out ${to}: the file cannot be written (${(error as NodeJS.ErrnoException).code ?? "unknown"}).`;
  }
}

/** What there is to say of a command and of the words that all take. */
export function helpOn({ name, summary, usage }: Pick<Command, "name" | "summary" | "usage">): string {
  return `velvet ${name}: ${summary}\n\nvelvet ${name} ${usage}\n\n${WORDS}`;
}

const WORDS = `FILE is a MusicXML score (.musicxml, .xml, .mxl), a folder of them, or - for the standard input.
  --hand right|left|both      whose digits; both takes the upper staff as the right hand's
  --part ID                   another part than the one for a piano; two of one staff with a + between
  --bars FROM-TO              these bars alone, as numbered on paper
  --span-right MM, --span-left MM
                              flat on a ruler, outer edge of the thumb to outer edge of the little finger
  --rest SIDE:F               a finger that rests
  --tempo N                   quarter notes a minute; as the file states where it is left out
  --touch legato|detached  --pedal  --arpeggios legato|carried  --tune top|VOICE
  --give ID=SIDE              this note is for the other hand
  --pin ID=F                  this finger on this note
  --json                      one line of JSON a file, instead of lines to read
  --out FILE                  writes the score with the digits of the first answer`;
