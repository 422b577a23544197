import { note, passage } from "../../../../tests/support/passages";
import { fingered, studyOfKeys, studyOn } from "../../../../tests/support/studies";
import type { Fingering } from "../study/fingering";
import { positionsOf } from "./positions";
import type { Study } from "../study/study";

/** Lengths of the positions in notes, and the joins between them. */
function cut(study: Study, digits: string): { lengths: number[]; joins: string[] } {
  const positions = positionsOf(study, fingered(study, digits));
  return {
    lengths: positions.map((p) => p.notes.length),
    joins: positions.flatMap((p) => (p.join ? [p.join.kind] : [])),
  };
}

const SCALE = [60, 62, 64, 65, 67, 69, 71, 72];

describe("positions and joins", () => {
  it("cut a scale where the thumb passes under, and on its way back where a finger passes over it", () => {
    expect(cut(studyOfKeys(SCALE), "12312345")).toEqual({ lengths: [3, 5], joins: ["thumb pass"] });
    expect(cut(studyOfKeys([...SCALE].reverse()), "54321321")).toEqual({ lengths: [5, 3], joins: ["thumb pass"] });
  });

  it("name how far the hand is carried and how long the music leaves", () => {
    const [, second] = positionsOf(studyOfKeys(SCALE), fingered(studyOfKeys(SCALE), "12312345"));
    // From 3 on E to 1 on F: the hand's middle moves by two places of the fingers at rest and a white key.
    expect(second!.join!.mm).toBeGreaterThan(40);
    expect(second!.join!.ms).toBeCloseTo((60_000 / 96) * 0.25, 6);
  });

  it("leave five fingers on five keys as one position, however they go to and fro", () => {
    expect(cut(studyOfKeys([60, 64, 62, 65, 64, 67, 60]), "1324351")).toEqual({ lengths: [7], joins: [] });
  });

  it("tell a shift from a leap, and a change on the key from both", () => {
    expect(cut(studyOfKeys([60, 64, 67, 71]), "1231").joins).toEqual(["thumb pass"]);
    expect(cut(studyOfKeys([60, 72, 64, 76]), "1515")).toEqual({ lengths: [2, 2], joins: ["shift"] });
    expect(cut(studyOfKeys([60, 67, 72, 79]), "1515")).toEqual({ lengths: [2, 2], joins: ["shift"] });
    expect(cut(studyOfKeys([60, 84]), "11").joins).toEqual(["leap"]);
    expect(cut(studyOfKeys([60, 60]), "51").joins).toEqual(["change on the key"]);
  });

  it("stay where neighbouring fingers are drawn over one key", () => {
    expect(cut(studyOfKeys([67, 67, 67, 67]), "4321").joins).toEqual([]);
    expect(cut(studyOfKeys([67, 67, 67, 67, 65, 65, 65, 65]), "43214321").joins).toHaveLength(1);
    expect(cut(studyOfKeys([60, 60]), "22").joins).toEqual([]);
  });

  it("name fingers that cross without the thumb", () => {
    expect(cut(studyOfKeys([64, 65]), "32")).toEqual({ lengths: [1, 1], joins: ["crossing"] });
  });

  it("cut chords where the hand must move, and keep notes that nobody plays", () => {
    const study = studyOfKeys([
      [60, 64, 67],
      [60, 65, 69],
      [84, 88, 91],
    ]);
    expect(cut(study, "135135135")).toEqual({ lengths: [3, 3, 3], joins: ["shift", "leap"] });
    expect(cut(studyOfKeys([60, 62, 64]), "103")).toEqual({ lengths: [3], joins: [] });
  });

  it("are found for each hand by itself, every note in one position", () => {
    const notes = [
      ...SCALE.map((key, i) => note(`r${i}`, key, String(i), "1")),
      ...[48, 43].map((key, i) => note(`l${i}`, key, String(2 * i), "2", { staff: 2 })),
    ];
    const study = studyOn(passage(notes, "both", 2));
    const digits = Object.fromEntries([..."12312345"].map((d, i) => [`r${i}`, Number(d)]));
    const positions = positionsOf(study, { ...digits, l0: 1, l1: 5 } as unknown as Fingering);
    expect(positions.map((p) => p.side)).toEqual(["right", "right", "left"]);
    expect(positions.flatMap((p) => p.notes).sort()).toEqual(notes.map((n) => n.id).sort());
  });
});
