import { explain, EXPLAIN_USAGE } from "./explain";
import { finger, FINGER_USAGE } from "./finger";
import { plan, PLAN_USAGE } from "./plan";

/** `npm run -s velvet -- COMMAND ...`: the core without browser or database. */
const COMMANDS: Readonly<Record<string, (args: readonly string[], print: (line: string) => void) => number>> = {
  finger,
  explain,
  plan,
};

const [name = "", ...args] = process.argv.slice(2);
const command = COMMANDS[name];
if (!command) {
  for (const usage of [FINGER_USAGE, EXPLAIN_USAGE, PLAN_USAGE]) console.error(`Usage: velvet -- ${usage}`);
  process.exitCode = 2;
} else {
  process.exitCode = command(args, (line) => process.stdout.write(`${line}\n`));
}
