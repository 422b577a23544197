import { fireEvent, render, screen } from "@testing-library/react";
import { stepsOf } from "@/core/fingering/study/steps";
import { judge, notesAsked } from "@/core/fingering/study/study";
import type { NoteId } from "@/core/passage/note";
import { fingered, studyOfKeys } from "../../../../tests/support/studies";
import { toneOf, heightShare } from "../../strain";
import type { LinePlaces } from "../engraving/places";
import { StrainLanes } from "./strain-lanes";

const study = studyOfKeys([60, [64, 76], 62]);
const notes = notesAsked(study);
const steps = stepsOf(study);
const places: LinePlaces = {
  width: 400,
  height: 100,
  staves: [],
  notes: new Map(notes.map((id, i) => [id, { x: 50 + 60 * i, y: 0, top: 0, bottom: 0, stemUp: null }])),
};

function lane(digits: string, written: readonly NoteId[] = []) {
  return { name: "A", judged: judge(study, fingered(study, digits)), written: new Set(written) };
}

describe("strain lanes", () => {
  it("have a bar for each onset under its notes, higher for more strain", () => {
    const { container } = render(
      <StrainLanes
        places={places}
        steps={steps}
        lanes={[lane("1152")]}
        sideOf={() => "right"}
        selected={null}
        onSelect={jest.fn()}
      />,
    );
    expect(screen.getByRole("img", { name: "Strain of option A, onset by onset" })).toBeInTheDocument();
    const bars = [...container.querySelectorAll("g g rect")];
    expect(bars).toHaveLength(3);
    const middle = (bar: Element) => Number(bar.getAttribute("x")) + Number(bar.getAttribute("width")) / 2;
    expect(bars.map(middle)).toEqual([50, 140, 230]);
    const heights = bars.map((bar) => Number(bar.getAttribute("height")));
    expect(heights[1]).toBeGreaterThan(heights[0]!);
  });

  it("leave out onsets that stand on another line", () => {
    const some = { ...places, notes: new Map([...places.notes].slice(0, 1)) };
    const { container } = render(
      <StrainLanes
        places={some}
        steps={steps}
        lanes={[lane("1152")]}
        sideOf={() => "right"}
        selected={null}
        onSelect={jest.fn()}
      />,
    );
    expect(container.querySelectorAll("g g rect")).toHaveLength(1);
  });

  it("write the digits that differ and choose an onset when it is pressed", () => {
    const onSelect = jest.fn();
    const { container } = render(
      <StrainLanes
        places={places}
        steps={steps}
        lanes={[lane("1152", [notes[1]!])]}
        sideOf={() => "right"}
        selected={null}
        onSelect={onSelect}
      />,
    );
    const second = container.querySelectorAll("g g")[1]!;
    expect(second.querySelector("text")).toHaveTextContent("1");
    fireEvent.click(second);
    expect(onSelect).toHaveBeenCalledWith(notes[1]);
  });
});

describe("the lane of two hands", () => {
  it("stands upwards for the right and hangs down for the left, from one line", () => {
    const left = new Set([notes[1]!, notes[2]!]);
    const { container } = render(
      <StrainLanes
        places={places}
        steps={steps}
        lanes={[lane("1152")]}
        sideOf={(id) => (left.has(id) ? "left" : "right")}
        selected={null}
        onSelect={jest.fn()}
      />,
    );
    const base = Number(container.querySelector("line")!.getAttribute("y1"));
    const bars = [...container.querySelectorAll("g g rect")];
    const [top, bottom] = [
      (bar: Element) => Number(bar.getAttribute("y")),
      (bar: Element) => Number(bar.getAttribute("y")) + Number(bar.getAttribute("height")),
    ];
    expect(bottom(bars[0]!)).toBeCloseTo(base, 6);
    expect(top(bars[1]!)).toBeCloseTo(base, 6);
    expect(bottom(bars[2]!)).toBeCloseTo(base, 6);
    expect(screen.getByRole("img", { name: /right hand upwards, left hand down/ })).toBeInTheDocument();
  });
});

describe("how strain is shown", () => {
  it("says it by colour and by height, to an end", () => {
    expect([0, 25, 26, 100, 101].map(toneOf)).toEqual(["ease", "ease", "work", "work", "strain"]);
    expect(heightShare(60)).toBeCloseTo(0.5, 9);
    expect(heightShare(1000)).toBe(1);
  });
});
