import { render } from "@testing-library/react";
import type { NoteId } from "@/core/passage/note";
import { note } from "../../../../tests/support/passages";
import { HandBrackets } from "./hand-brackets";
import type { LinePlaces, NotePlace } from "../engraving/places";
import { PositionLanes } from "../lanes/position-lane";

const notes = [0, 1, 2, 3].map((i) => note(`n${i}`, 60 + i, `${i}/4`, "1/4"));
const place = (x: number) => ({ x, y: 50, top: 40, bottom: 60, stemUp: true }) as NotePlace;
const places = {
  width: 400,
  height: 100,
  staves: [],
  notes: new Map(notes.map((n, i) => [n.id, place(40 + 60 * i)])),
} as unknown as LinePlaces;

describe("brackets about notes that change hands", () => {
  const brackets = (taken: Record<string, "left" | "right">) => {
    const { container } = render(
      <svg>
        <HandBrackets places={places} notes={notes} taken={taken} />
      </svg>,
    );
    return [...container.querySelectorAll("[data-taken]")].map((g) => g.textContent);
  };

  it("hold runs together and part where another hand comes between", () => {
    expect(brackets({})).toEqual([]);
    expect(brackets({ n0: "left", n1: "left", n3: "left" })).toEqual(["left", "left"]);
    expect(brackets({ n0: "left", n1: "right" })).toEqual(["left", "right"]);
  });
});

describe("the lanes of positions", () => {
  it("span each position once, with the sign of how it is reached where it begins", () => {
    const positions = [
      { side: "right", notes: ["n0", "n1"] as NoteId[], join: null },
      { side: "right", notes: ["n2", "n3"] as NoteId[], join: { kind: "thumb pass", mm: 40, ms: 150 } },
      { side: "left", notes: ["elsewhere"] as NoteId[], join: null },
    ] as const;
    const { container, getByRole } = render(<PositionLanes places={places} positions={positions} />);
    expect(getByRole("img", { name: "Positions of the right hand" })).toHaveTextContent("thumb pass, 40 mm in 150 ms");
    expect(container.querySelectorAll("[data-join='thumb pass']")).toHaveLength(1);
    expect(container.querySelectorAll("svg")).toHaveLength(1);
  });
});
