import { finger, FINGER_USAGE } from "./finger";

/** `npm run -s velvet -- COMMAND ...`: the core without browser or database. */
const COMMANDS: Readonly<Record<string, (args: readonly string[], print: (line: string) => void) => number>> = {
  finger,
};

const [name = "", ...args] = process.argv.slice(2);
const command = COMMANDS[name];
if (!command) {
  console.error(`Usage: velvet -- ${FINGER_USAGE}`);
  process.exitCode = 2;
} else {
  process.exitCode = command(args, (line) => process.stdout.write(`${line}\n`));
}
