import type { NoteId } from "../passage/note";
import type { TrialMap } from "./map";
import { pieceMapOf, type PassageMapped } from "./piece-map";

const map = (takes: number, bars: readonly (readonly [bar: string, strain: number, faults: number])[]): TrialMap => ({
  takes,
  onsets: bars.map(([bar, strain, faults]) => {
    return { note: bar as NoteId, bar, strain, faults, late: null, tension: null };
  }),
  bars: bars.map(([bar, , faults]) => ({ bar, faults, tension: 0 })),
});
const passage = (id: string, of: TrialMap): PassageMapped => ({ id, title: id, map: of });

test("bars of a piece have what the passages with takes say of them, each take counting once", () => {
  const bars = pieceMapOf(
    ["1", "2", "3"],
    [
      passage(
        "a",
        map(1, [
          ["1", 10, 2],
          ["2", 20, 4],
        ]),
      ),
      passage("b", map(3, [["2", 40, 0]])),
    ],
  );
  expect(bars[0]).toEqual({ bar: "1", strain: 10, faults: 2, tension: null, passages: [0] });
  expect(bars[1]).toEqual({ bar: "2", strain: 30, faults: 1, tension: null, passages: [0, 1] });
  expect(bars[2]).toEqual({ bar: "3", strain: null, faults: null, tension: null, passages: [] });
});
