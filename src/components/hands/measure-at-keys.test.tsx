import { render, screen, waitFor, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { USUAL_ALLOWANCES } from "@/core/reach/allowances";
import type { HandsData } from "@/server/types";

const measure = jest.fn();
jest.mock("@/server/actions", () => ({ measure: (asked: unknown) => measure(asked) as unknown }));

import { MeasureAtKeys } from "./measure-at-keys";

const DATA: HandsData = {
  playerId: "me",
  measurements: {
    right: [
      {
        id: "old",
        side: "right",
        measuredOn: "2026-06-01",
        title: null,
        way: "typed",
        measured: { rulerSpan: 190, pairs: { "2-5": { widest: 108 } }, tipWidths: { 1: 21 } },
      },
    ],
    left: [],
  },
  rests: [],
  instruments: [{ id: "i", name: "Made up", octaveWidth: 164.5 }],
  allows: USUAL_ALLOWANCES,
  own: null,
  today: "2026-11-25",
};

const press = async (...names: string[]) => {
  for (const name of names) await userEvent.click(screen.getByRole("button", { name }));
};

beforeEach(() => {
  jest.resetAllMocks();
  Object.defineProperty(globalThis.crypto, "randomUUID", { value: () => "id", configurable: true });
});

describe("measuring at the keys", () => {
  it("asks comfortable first and never for force", () => {
    render(<MeasureAtKeys data={DATA} />);
    expect(screen.getByRole("heading", { level: 2 })).toHaveTextContent("Right hand, 1 and 5: comfortable");
    expect(screen.getByText("1 of 20")).toBeInTheDocument();
    expect(screen.getByRole("button", { name: "Take it" })).toBeDisabled();
  });

  it("takes two keys as the mm between their facing edges, and goes on", async () => {
    render(<MeasureAtKeys data={DATA} />);
    await press("C 4", "C 5");
    expect(
      screen.getByText(/150 mm at the edges that face each other, as wide as an octave of white keys/),
    ).toBeInTheDocument();
    await press("Take it");
    expect(screen.getByRole("heading", { level: 2 })).toHaveTextContent("1 and 5: widest, without force");
    expect(screen.getByText(/without force. If it hurts, stop/)).toBeInTheDocument();
    await press("C 4", "D 5", "Take it", "Enough for today");
    const review = screen.getByRole("region", { name: "What was measured" });
    expect(within(review).getByText("150 mm comfortable, 173.5 mm widest")).toBeInTheDocument();
  });

  it("keeps what was taken beside what was left out, and lets the keys stand for the ruler", async () => {
    measure.mockResolvedValue({ ok: true });
    render(<MeasureAtKeys data={DATA} />);
    await press("Leave it out", "C 4", "D 5", "Take it", "Enough for today", "Keep it as measured today");
    await waitFor(() => expect(measure).toHaveBeenCalled());
    expect(measure).toHaveBeenCalledWith({
      id: "id",
      playerId: "me",
      side: "right",
      measuredOn: "2026-11-25",
      way: "keys",
      pairs: { "2-5": { widest: 108 }, "1-5": { widest: 173.5 } },
      tipWidths: { 1: 21 },
    });
  });

  it("says so where figures contradict one another, and keeps them for another try", async () => {
    render(<MeasureAtKeys data={DATA} />);
    await press("C 4", "D 5", "Take it", "C 4", "C 5", "Take it", "Enough for today");
    expect(screen.getByRole("alert")).toHaveTextContent("1 and 5 cannot open more with comfort");
    expect(screen.getByRole("button", { name: "Keep it as measured today" })).toBeDisabled();
    await press("Go through it again");
    expect(screen.getByText("1 of 20")).toBeInTheDocument();
  });

  it("goes on with the keyboard on the screen where no MIDI piano answers", async () => {
    render(<MeasureAtKeys data={DATA} />);
    await press("Connect a MIDI piano");
    await waitFor(() => expect(screen.getByText(/The keyboard on the screen works in its place/)).toBeInTheDocument());
  });
});
