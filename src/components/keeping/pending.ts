/** Something on its way to the server, under a name of its own. */
export interface Sendable {
  readonly id: string;
}

/** Things not yet answered by the server, kept in the browser so that a closed window loses none of them. */
export interface Pending<T extends Sendable> {
  /** Oldest first. */
  all(): readonly T[];
  /** Adds one, or gives a known one another state. Returns whether it is kept. */
  put(item: T): boolean;
  remove(id: string): void;
}

/** @param place the name they are kept under */
export function pendingIn<T extends Sendable>(place: string): Pending<T> {
  const key = `velvet-thumb-pending ${place}`;
  const all = (): readonly T[] => {
    try {
      const kept: unknown = JSON.parse(localStorage.getItem(key) ?? "[]");
      return Array.isArray(kept) ? (kept as T[]) : [];
    } catch {
      return [];
    }
  };
  const write = (items: readonly T[]): boolean => {
    try {
      if (items.length === 0) localStorage.removeItem(key);
      else localStorage.setItem(key, JSON.stringify(items));
      return true;
    } catch {
      return false;
    }
  };
  return {
    all,
    put(item) {
      const before = all();
      const at = before.findIndex(({ id }) => id === item.id);
      return write(at < 0 ? [...before, item] : before.map((old, i) => (i === at ? item : old)));
    },
    remove: (id) => void write(all().filter((item) => item.id !== id)),
  };
}
