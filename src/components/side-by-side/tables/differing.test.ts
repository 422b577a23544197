import type { Fingering } from "@/core/fingering/study/fingering";
import type { NoteId } from "@/core/passage/note";
import { differing, differingNext } from "./differing";

const NOTES = ["a", "b", "c", "d"] as NoteId[];
const digits = (text: string): Fingering =>
  Object.fromEntries(NOTES.map((id, i) => [id, Number(text[i])])) as Fingering;

describe("where fingerings differ", () => {
  it("is every note that not all of them play alike", () => {
    expect(differing(NOTES, [digits("1234"), digits("1224")])).toEqual(["c"]);
    expect(differing(NOTES, [digits("1234"), digits("1234"), digits("5234")])).toEqual(["a"]);
    expect(differing(NOTES, [digits("1234"), digits("1234")])).toEqual([]);
  });

  it("is walked from place to place, round the end", () => {
    const differ = ["b", "d"] as NoteId[];
    const next = (from: string, by: 1 | -1) => differingNext(NOTES, differ, from as NoteId, by);
    expect([next("a", 1), next("b", 1), next("d", 1)]).toEqual(["b", "d", "b"]);
    expect([next("c", -1), next("b", -1)]).toEqual(["b", "d"]);
    expect(differingNext(NOTES, [], "a" as NoteId, 1)).toBeNull();
  });
});
