import { TASKS, type Errand } from "./tasks";

/** What a thread does with an errand. Built into a file of its own by scripts/lib/node.sh. */
export default function run({ name, given }: Errand): unknown {
  return (TASKS[name] as (given: unknown) => unknown)(given);
}
