import type { Fingering, Pins } from "@/core/fingering/study/fingering";
import type { NoteId } from "@/core/passage/note";
import { note } from "../../../../tests/support/passages";
import { DIGIT_SIZE, placeDigits, type DigitLayer } from "./digits";
import type { LinePlaces, NotePlace } from "../engraving/places";

const STAVES = [
  { top: 50, bottom: 90 },
  { top: 150, bottom: 190 },
];

function places(spots: Record<string, Partial<NotePlace>>): LinePlaces {
  const notes = new Map(
    Object.entries(spots).map(([id, s]) => [id as NoteId, { x: 100, y: 70, top: 65, bottom: 75, stemUp: null, ...s }]),
  );
  return { width: 800, height: 240, notes, staves: STAVES };
}

function layer(fingering: Record<string, number | null>, more: Partial<DigitLayer> = {}): DigitLayer {
  return { name: "A", fingering: fingering as Fingering, pins: {}, marked: new Set(), ...more };
}

describe("digits on the score", () => {
  it("stand over the upper staff and under the lower one, clear of the ink", () => {
    const notes = [note("r", 72, "0", "1"), note("l", 48, "0", "1", { staff: 2 })];
    const [r, l] = placeDigits(places({ r: { top: 30 }, l: { y: 170, top: 160, bottom: 200 } }), notes, [
      layer({ r: 3, l: 5 }),
    ]);
    expect(r!.y).toBeLessThan(30);
    expect(l!.y - DIGIT_SIZE * 0.72).toBeGreaterThan(200);
  });

  it("stand over a bar number that is in their way, and nowhere else for one that is not", () => {
    const notes = [note("last", 72, "0", "1"), note("next", 74, "1", "1")];
    const free = places({ last: { x: 200, top: 60 }, next: { x: 230, top: 60 } });
    const numbered = { ...free, signs: [{ left: 203, right: 212, top: 32, bottom: 44 }] };
    const [usual] = placeDigits(free, notes, [layer({ last: 1, next: 2 })]);
    const [last, next] = placeDigits(numbered, notes, [layer({ last: 1, next: 2 })]);
    expect(last!.y).toBeLessThan(32);
    expect(next!.y).toBe(usual!.y);
  });

  it("stack in the order of a chord's notes, the lowest nearest below and the highest on top", () => {
    const chord = [note("c", 60, "0", "1"), note("e", 64, "0", "1"), note("g", 67, "0", "1")];
    const placed = placeDigits(places({ c: {}, e: {}, g: {} }), chord, [layer({ c: 1, e: 3, g: 5 })]);
    expect([...placed].sort((a, b) => a.y - b.y).map((d) => d.text)).toEqual(["5", "3", "1"]);
    const low = chord.map((n) => ({ ...n, staff: 2 }));
    const below = placeDigits(places({ c: {}, e: {}, g: {} }), low, [layer({ c: 5, e: 3, g: 1 })]);
    expect([...below].sort((a, b) => a.y - b.y).map((d) => d.text)).toEqual(["1", "3", "5"]);
  });

  it("go to the side of the stems where a staff has two voices", () => {
    const notes = [
      note("up", 76, "0", "2"),
      note("down", 64, "0", "1", { voice: "2" }),
      note("next", 65, "1", "1", { voice: "2" }),
    ];
    const spots = places({ up: { stemUp: true }, down: { stemUp: false }, next: { x: 140, stemUp: false } });
    const placed = placeDigits(spots, notes, [layer({ up: 5, down: 1, next: 2 })]);
    expect(placed.find((d) => d.note === "up")!.y).toBeLessThan(STAVES[0]!.top);
    expect(placed.find((d) => d.note === "down")!.y).toBeGreaterThan(STAVES[0]!.bottom);
  });

  it("put a second option outside the first and keep marks and pins", () => {
    const notes = [note("a", 60, "0", "1")];
    const placed = placeDigits(places({ a: {} }), notes, [
      layer({ a: 1 }, { pins: { a: 1 } as unknown as Pins }),
      layer({ a: null }, { name: "B", marked: new Set(["a" as NoteId]) }),
    ]);
    expect(placed.map((d) => [d.layer, d.text, d.pinned, d.marked])).toEqual([
      ["A", "1", true, false],
      ["B", "–", false, true],
    ]);
    expect(placed[1]!.y).toBeLessThan(placed[0]!.y - DIGIT_SIZE);
  });
});
