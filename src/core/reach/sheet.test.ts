import { handOfRulerSpan } from "../hand/hand";
import { FULL_SIZE, instrument } from "../keyboard/instrument";
import { isBlack } from "../keyboard/pitch";
import { GRADES } from "../placement/grade";
import { placementsOf } from "../placement/placements";
import { KEY_COLOURS, reachSheet, SHEET_SEMITONES, type KeyColours } from "./sheet";

const sheetOf = (
  span: number,
  colours: KeyColours = KEY_COLOURS[0],
  side: "right" | "left" = "right",
  octave = 164.5,
  shapes?: readonly ["curled"] | readonly ["flat"],
) =>
  reachSheet(
    placementsOf(handOfRulerSpan(side, span), octave === 164.5 ? FULL_SIZE : instrument(octave)),
    colours,
    shapes ? { shapes } : {},
  );
const hardness = (rows: ReturnType<typeof sheetOf>) =>
  rows.flatMap((r) => r.cells.map((c) => (c ? GRADES.indexOf(c.grade) : -1)));
const wideOpen = (rows: ReturnType<typeof sheetOf>) => hardness(rows).filter((h) => h === 3).length;

describe("the reach sheet", () => {
  it("has every pair against every interval, on keys of the colours asked for", () => {
    for (const colours of KEY_COLOURS) {
      const rows = sheetOf(200, colours);
      expect(rows.map((r) => r.cells.length)).toEqual(Array(10).fill(SHEET_SEMITONES));
      for (const cell of rows.flatMap((r) => r.cells)) {
        if (!cell) continue;
        expect(cell.keys.map((k) => (isBlack(k) ? "black" : "white")).join("-")).toBe(colours);
        expect(cell.keys[1] - cell.keys[0]).toBe(cell.semitones);
      }
    }
  });

  it("is out of reach less often for a wider hand, on narrower keys, and flat rather than curled", () => {
    expect(wideOpen(sheetOf(230))).toBeLessThan(wideOpen(sheetOf(185)));
    expect(wideOpen(sheetOf(185, "white-white", "right", 140))).toBeLessThan(wideOpen(sheetOf(185)));
    expect(wideOpen(sheetOf(200, "white-white", "right", 164.5, ["flat"]))).toBeLessThan(
      wideOpen(sheetOf(200, "white-white", "right", 164.5, ["curled"])),
    );
  });

  it("is the same for the left hand, on the mirror image of the keys", () => {
    for (const colours of KEY_COLOURS) {
      const [left, right] = [sheetOf(200, colours, "left"), sheetOf(200, colours, "right")];
      expect(hardness(left)).toEqual(hardness(right));
      expect(left[3]!.cells.every((c) => !c || c.keys[1] < c.keys[0])).toBe(true);
    }
  });

  it("answers nothing for a resting finger", () => {
    const rows = reachSheet(placementsOf(handOfRulerSpan("right", 200, [5]), FULL_SIZE), "white-white", {});
    expect(rows.filter((r) => r.pair.includes(5)).every((r) => r.cells.every((c) => c === null))).toBe(true);
    expect(rows.filter((r) => !r.pair.includes(5)).every((r) => r.cells.some((c) => c !== null))).toBe(true);
  });
});
