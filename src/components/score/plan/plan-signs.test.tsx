import { render } from "@testing-library/react";
import type { SignPlaced } from "@/core/motion/marks/signs";
import type { NoteId } from "@/core/passage/note";
import type { DigitPlaced } from "../marks/digits";
import type { LinePlaces } from "../engraving/places";
import { overhangOf, PlanSigns } from "./plan-signs";

const N1 = "n1" as NoteId;
const places: LinePlaces = {
  width: 400,
  height: 240,
  notes: new Map([[N1, { x: 100, y: 70, top: 60, bottom: 80, stemUp: null }]]),
  staves: [
    { top: 50, bottom: 90 },
    { top: 150, bottom: 190 },
  ],
};
const sign = (above: boolean) => ({ key: "rise n1", sign: "rise", note: N1, to: null, above, words: "" }) as SignPlaced;
const digit = (y: number): DigitPlaced => ({
  note: N1,
  layer: "A",
  text: "3",
  x: 100,
  y,
  size: 15,
  pinned: false,
  marked: false,
  printed: false,
  changed: false,
  suggested: false,
});

function yOf(above: boolean, digits: readonly DigitPlaced[]): number {
  const { container, unmount } = render(
    <svg>
      <PlanSigns places={places} signs={[sign(above)]} digits={digits} />
    </svg>,
  );
  const y = Number(
    /translate\(\S+ (\S+)\)/.exec(container.querySelector("[transform]")!.getAttribute("transform")!)![1],
  );
  unmount();
  return y;
}

describe("signs of the plan", () => {
  it("keep their distance from the staff, and stand outside digits that stack", () => {
    expect(yOf(true, [digit(45)])).toBe(yOf(true, []));
    expect(yOf(true, [45, 30, 15, 0].map(digit))).toBeLessThan(0 - 15 * 0.72 - 5);
    expect(yOf(false, [205, 220, 235].map(digit))).toBeGreaterThan(235 + 5);
  });

  it("are given the room that they need past the line", () => {
    const few = overhangOf(places, [sign(true)], []);
    const many = overhangOf(places, [sign(true)], [45, 30, 15, 0].map(digit));
    expect(many.over).toBeGreaterThan(few.over);
    expect(many.under).toBe(few.under);
  });
});
