import { render } from "@testing-library/react";
import type { Figure } from "@/core/figures/figure";
import type { NoteId } from "@/core/passage/note";
import { figureMarks, FigureMarks } from "./figure-marks";
import type { LinePlaces } from "../engraving/places";

const ids = (...names: string[]): NoteId[] => names as NoteId[];
const figure: Figure = {
  side: "right",
  notes: ids("a", "b"),
  returns: [
    { relation: "exact", side: "right", notes: ids("c", "d"), by: 0, alike: 1, changed: [], inSequence: false },
    { relation: "chromatic", side: "right", notes: ids("e", "f"), by: 1, alike: 0.5, changed: [], inSequence: false },
  ],
};
const places: LinePlaces = {
  width: 400,
  height: 120,
  staves: [],
  notes: new Map(
    ids("a", "b", "c", "d").map((id, i) => [id, { x: 50 + 40 * i, y: 60, top: 50, bottom: 70, stemUp: null }]),
  ),
};

describe("figures on the score", () => {
  it("are bracketed wherever they come on a line, unbroken where they are tied", () => {
    const marks = figureMarks([figure], (of, place) => of.returns[place]!.relation === "exact");
    const { container } = render(
      <svg>
        <FigureMarks places={places} marks={marks} />
      </svg>,
    );
    const drawn = [...container.querySelectorAll("[data-figure]")];
    expect(drawn.map((g) => [g.textContent, g.getAttribute("data-tied")])).toEqual([
      ["a", "true"],
      ["a′", "true"],
    ]);
    expect(drawn[0]!.querySelector("path")!.getAttribute("d")).toContain("M 44 ");
    const free = figureMarks([figure], () => false);
    expect(free[0]!.places.map((p) => p.tied)).toEqual([false, false, false]);
  });
});
