/**
 * A number with the word for what it counts: "1 pass", "3 passes", rounded to a whole.
 * @param several the word for any number but one; that for one with an s where it is not said
 */
export function counted(count: number, one: string, several = `${one}s`): string {
  const whole = Math.round(count);
  return `${whole} ${whole === 1 ? one : several}`;
}

/** "once", "twice", "5 times". */
export function often(count: number): string {
  return count === 1 ? "once" : count === 2 ? "twice" : `${count} times`;
}
