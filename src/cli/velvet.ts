import { eachFile, type Called } from "./command";
import { EXPLAIN } from "./explain";
import { FINGER } from "./finger";
import { PLAN } from "./plan";
import { TRIAL } from "./trial";

/** `npm run -s velvet -- COMMAND ...`: the core without browser or database. */
const COMMANDS: readonly Called[] = [...[FINGER, EXPLAIN, PLAN].map(eachFile), TRIAL];

const [name = "", ...args] = process.argv.slice(2);
const command = COMMANDS.find((one) => one.name === name);
const print = (line: string): void => void process.stdout.write(`${line}\n`);
const tell = (line: string): void => void process.stderr.write(`${line}\n`);

// Who reads no further, as `velvet ... | head` does, has what was wanted.
process.stdout.on("error", (error: NodeJS.ErrnoException) => {
  if (error.code !== "EPIPE") throw error;
  process.exit();
});

const OVERVIEW = `velvet COMMAND FILE... --hand right|left|both\n\n${COMMANDS.map((one) => `  ${one.name.padEnd(8)} ${one.summary}`).join("\n")}\n  archive  everything of a player in one file, out and in again\n\nvelvet COMMAND --help tells all words of a command.`;

if (command) process.exitCode = command.run(args, { print, tell });
// The one command that asks the database: it is only loaded where it is asked for.
else if (name === "archive") process.exitCode = await (await import("./archive")).archive(args, print);
else if (name === "--help" || name === "-h" || name === "help") print(OVERVIEW);
else {
  tell(name === "" ? OVERVIEW : `There is no command ${name}.\n\n${OVERVIEW}`);
  process.exitCode = 2;
}
