/** An answer that a test gives when it will. */
export interface Later<T> {
  readonly promise: Promise<T>;
  give(value: T): void;
  fail(error: Error): void;
}

export function later<T>(): Later<T> {
  let give!: (value: T) => void;
  let fail!: (error: Error) => void;
  const promise = new Promise<T>((resolve, reject) => {
    give = resolve;
    fail = reject;
  });
  return { promise, give, fail };
}
