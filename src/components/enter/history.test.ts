import { EMPTY_BAR, type EntryChanged, type Entry } from "@/core/entry/entry";
import { history, type History } from "./history";

const entry = (title: string): Entry => ({ title, fifths: 0, time: [4, 4], tempo: 80, bars: [EMPTY_BAR] });
const made = (title: string, complaint: string | null = null): EntryChanged => ({
  entry: entry(title),
  cursor: { bar: 0, voice: 0, at: 0 },
  complaint,
});
const start: History = { past: [], now: made("none"), future: [] };

describe("what was entered, step by step", () => {
  it("goes back and forth over every change, and forgets the way forth when something else is entered", () => {
    let now = history(history(start, { kind: "change", made: made("one") }), { kind: "change", made: made("two") });
    now = history(now, { kind: "walk", way: "undo" });
    expect(now.now.entry.title).toBe("one");
    expect(history(now, { kind: "walk", way: "redo" }).now.entry.title).toBe("two");
    now = history(now, { kind: "change", made: made("three") });
    expect(now.future).toEqual([]);
    for (let i = 0; i < 5; i++) now = history(now, { kind: "walk", way: "undo" });
    expect(now.now.entry.title).toBe("none");
  });

  it("leaves nothing to undo where a change was refused or the cursor only walked", () => {
    const refused = history(start, { kind: "change", made: { ...start.now, complaint: "no room" } });
    expect(refused).toMatchObject({ past: [], now: { complaint: "no room" } });
    const walked = history(refused, { kind: "go", cursor: (_, cursor) => ({ ...cursor, voice: 2 }) });
    expect(walked).toMatchObject({ past: [], now: { complaint: null, cursor: { voice: 2 } } });
  });
});
