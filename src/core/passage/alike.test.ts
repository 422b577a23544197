import { note } from "../../../tests/support/passages";
import { alike } from "./alike";
import { toNumber } from "../time/beats";
import { inOrder } from "./passage";
import type { Note } from "./note";

const ours = inOrder(
  [60, 62, 64, 65, 67, 69, 71, 72].map((key, i) =>
    note(`b${3 + Math.floor(i / 4)}-${i}`, key, String(8 + i / 2), "1/2", { bar: String(3 + Math.floor(i / 4)) }),
  ),
);
/** The same later in a piece, in bars of other numbers. */
const elsewhere = (notes: readonly Note[], by: number): readonly Note[] =>
  notes.map((one) => ({
    ...one,
    id: `t${one.id}` as Note["id"],
    onset: String(toNumber(one.onset) + by) as Note["onset"],
    bar: String(Number(one.bar) + by),
    printed: 3,
  }));
const around = inOrder([
  note("x1", 50, "0", "1", { bar: "1" }),
  note("x2", 52, "1", "1", { bar: "1" }),
  ...elsewhere(ours, 40),
  note("x3", 55, "60", "1", { bar: "50" }),
]);

describe("two editions of the same music", () => {
  it("are paired note by note, wherever the passage stands and however its bars are numbered", () => {
    const { theirs, missing, differences } = alike(ours, around);
    expect([...theirs].map(([id, their]) => `${id} ${their.id}`)).toEqual(ours.map(({ id }) => `${id} t${id}`));
    expect([missing, differences]).toEqual([[], []]);
  });

  it("say a note with another sign, one that is not there, and one more", () => {
    const theirs = elsewhere(ours, 40).flatMap((one, i) => {
      if (i === 2) return [{ ...one, pitch: 63 as Note["pitch"] }];
      if (i === 5) return [];
      return i === 6 ? [one, { ...one, id: "more" as Note["id"], pitch: 79 as Note["pitch"] }] : [one];
    });
    const found = alike(ours, inOrder(theirs));
    expect(found.theirs.size).toBe(7);
    expect(found.missing.map(({ pitch }) => pitch)).toEqual([69]);
    const said = found.differences.join("; ");
    expect(said).toMatch(/bar 3, beat 9|bar 3/);
    expect(said).toContain("E 4 here, E flat 4 there");
    expect(said).toContain("does not have A 4");
    expect(said).toContain("has G 5 more");
  });

  it("prefer the place with the same bar numbers where the music comes twice", () => {
    const twice = inOrder([...elsewhere(ours, 0).map((one) => ({ ...one, printed: 1 })), ...elsewhere(ours, 40)]);
    expect([...alike(ours, twice).theirs.values()].every(({ printed }) => printed === 1)).toBe(true);
  });

  it("have nothing for each other where there is nothing", () => {
    expect(alike([], around)).toEqual({ theirs: new Map(), missing: [], differences: [] });
    expect(alike(ours, []).missing).toEqual(ours);
  });
});
