/** Runs a stoppable computation to its end without stopping. */
export function drain<T>(steps: Generator<unknown, T>): T {
  for (;;) {
    const step = steps.next();
    if (step.done) return step.value;
  }
}
