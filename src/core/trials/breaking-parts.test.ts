import type { NoteId } from "../passage/note";
import { breakingByPart, partsOf } from "./breaking-parts";

const n = (id: string): NoteId => id as NoteId;

test("a part breaks by its own notes alone", () => {
  const parts = partsOf(
    [
      [n("a"), "right"],
      [n("b"), "left"],
    ],
    [],
  );
  const takes = [60, 70, 80, 90, 100, 110, 120, 130].map((tempo) => ({
    tempo,
    astray: (tempo > 95 ? { a: 1 } : {}) as Record<string, number>,
  }));
  const [right, left] = breakingByPart(parts, takes);
  expect(right).toMatchObject({ name: "right hand", breaking: { kind: "found" } });
  expect(right!.breaking.kind === "found" && Math.abs(right!.breaking.tempo - 95)).toBeLessThan(6);
  expect(left).toMatchObject({ name: "left hand", breaking: { kind: "none" } });
});

test("one hand alone is no part, a figure is one with all its returns", () => {
  const figure = { side: "right", notes: [n("a")], returns: [{ notes: [n("c")] }] } as never;
  const parts = partsOf(
    [
      [n("a"), "right"],
      [n("c"), "right"],
    ],
    [figure],
  );
  expect(parts.map(({ name, notes }) => [name, [...notes]])).toEqual([["figure 1", ["a", "c"]]]);
});
