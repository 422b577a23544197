import { render, screen } from "@testing-library/react";
import type { Finger } from "@/core/hand/finger";
import { handOfRulerSpan } from "@/core/hand/hand";
import type { Point } from "@/core/hand/pose";
import { keyShape } from "@/core/keyboard/geometry";
import { FULL_SIZE, instrument } from "@/core/keyboard/instrument";
import { pitch } from "@/core/keyboard/pitch";
import { HandDrawing } from "./hand-drawing";
import { Keyboard } from "./keyboard";

describe("the keyboard drawn", () => {
  it("shows the keys asked for in millimetres", () => {
    render(
      <Keyboard
        instrument={FULL_SIZE}
        lowest={pitch(60)}
        highest={pitch(72)}
        front={100}
        beside={0}
        label="An octave"
      />,
    );
    const drawing = screen.getByRole("img", { name: "An octave" });
    const [left, , width, height] = drawing.getAttribute("viewBox")!.split(" ").map(Number);
    expect(left).toBeCloseTo(keyShape(pitch(60), FULL_SIZE).left, 6);
    expect(width).toBeCloseTo(8 * 23.5, 6);
    expect(height).toBe(250);
    // Thirteen keys, and the edge of the black key that stands over the last.
    expect(drawing.querySelectorAll("rect")).toHaveLength(14);
    expect(drawing).toHaveTextContent("C4");
  });

  it("is narrower where the instrument is", () => {
    render(
      <Keyboard
        instrument={instrument(140)}
        lowest={pitch(60)}
        highest={pitch(71)}
        front={0}
        beside={0}
        label="Narrow"
      />,
    );
    expect(Number(screen.getByRole("img").getAttribute("viewBox")!.split(" ")[2])).toBeCloseTo(140, 6);
  });
});

describe("a hand drawn", () => {
  const contacts = new Map<Finger, Point>([
    [1, { x: 600, y: 25 }],
    [5, { x: 700, y: 65 }],
  ]);
  const draw = (striking: readonly Finger[]) =>
    render(
      <svg>
        <HandDrawing hand={handOfRulerSpan("right", 200)} contacts={contacts} striking={new Set(striking)} />
      </svg>,
    ).container;

  it("puts a disc on every contact, and none where no key is played", () => {
    const discs = [...draw([1]).querySelectorAll(`[data-playing="true"] circle`)];
    expect(discs.map((c) => [Number(c.getAttribute("cx")), Number(c.getAttribute("cy"))])).toEqual([
      [600, 125],
      [700, 85],
    ]);
    expect(draw([1]).querySelectorAll(`[data-playing="false"] circle`)).toHaveLength(0);
  });

  it("fills the fingers that strike and leaves those hollow that hold", () => {
    const fills = [...draw([5]).querySelectorAll(`[data-playing="true"] circle`)].map((c) => c.getAttribute("fill"));
    expect(fills).toEqual(["var(--skin)", "var(--ink)"]);
  });

  it("draws nothing for a hand that has no key", () => {
    const { container } = render(
      <svg>
        <HandDrawing hand={handOfRulerSpan("left", 200)} contacts={new Map()} striking={new Set()} />
      </svg>,
    );
    expect(container.querySelector("g")).toBeNull();
  });
});
