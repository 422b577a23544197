import { render } from "@testing-library/react";
import type { NoteId } from "@/core/passage/note";
import type { LinePlaces } from "../engraving/places";
import { PlanLanes } from "./plan-lanes";

const [FIRST, LAST] = ["first", "last"] as NoteId[] as [NoteId, NoteId];
const WIDTH = 400;
const at = (x: number) => ({ x, y: 0, top: 0, bottom: 0, stemUp: null });
const places: LinePlaces = {
  width: WIDTH,
  height: 100,
  staves: [],
  notes: new Map([
    [FIRST, at(60)],
    [LAST, at(WIDTH - 12)],
  ]),
};

/** A lane with a limit, its last point at the end of the line; y of the limit's figure and of that point. */
function drawn(limit: number, last: number): { readonly figure: number; readonly point: number } {
  const points = [0, last].map((value, i) => ({
    note: i === 0 ? FIRST : LAST,
    value,
    words: `${value} ms`,
    beyond: false,
    room: null,
  }));
  const limits = [{ at: limit, figure: `${limit} ms`, words: "not later than this" }];
  const series = { points, range: [-60, 60] as const, limits, unit: "ms" };
  const lanes = [{ id: "late", label: "Late", kind: "line", rows: [{ name: "a take", series }] }] as const;
  const nobody = () => undefined;
  const { container } = render(
    <PlanLanes places={places} lanes={lanes} selected={null} onSelect={nobody} onFold={nobody} />,
  );
  const figure = Number(container.querySelector("[data-limit] text")!.getAttribute("y"));
  const point = Number([...container.querySelectorAll("circle")].at(-1)!.getAttribute("cy"));
  return { figure, point };
}

describe("the lanes under a line of music", () => {
  it.each([-60, -30, 0, 10, 20, 30, 40, 60])(
    "write a limit's figure where the last point, at %d, does not lie",
    (last) => {
      const { figure, point } = drawn(30, last);
      // Its letters stand on that line, and are as high as 8 px.
      expect(point > figure || point < figure - 8).toBe(true);
    },
  );

  it("write it under its line where nothing is in the way", () => {
    expect(drawn(30, -60).figure).toBeGreaterThan(drawn(30, 30).point);
  });
});
