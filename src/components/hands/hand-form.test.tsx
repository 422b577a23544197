import { render, screen, waitFor } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import type { HandMeasured } from "@/core/hand/measured";
import { FULL_SIZE } from "@/core/keyboard/instrument";
import type { MeasurementData } from "@/server/types";

const measure = jest.fn();
jest.mock("@/server/actions", () => ({ measure: (asked: unknown) => measure(asked) as unknown }));

import { HandForm } from "./hand-form";
import { OpenHands } from "./open-hands";
import { useHandDraft } from "./use-hand-draft";

const KEPT: HandMeasured = { rulerSpan: 191, pairs: { "1-5": { comfortable: 150, widest: 172 } } };
const HISTORY: readonly MeasurementData[] = [
  { id: "b", side: "right", title: null, measuredOn: "2026-11-02", way: "typed", measured: KEPT },
  {
    id: "a",
    side: "right",
    title: null,
    measuredOn: "2026-06-02",
    way: "typed",
    measured: { ...KEPT, rulerSpan: 190 },
  },
];

function Page({ inIntervals = false }: { inIntervals?: boolean }) {
  const draft = useHandDraft("right", HISTORY[0]!);
  return (
    <>
      <OpenHands drafts={[draft]} instrument={FULL_SIZE} figure="widest" />
      <HandForm
        playerId="me"
        draft={draft}
        history={HISTORY}
        instrument={FULL_SIZE}
        inIntervals={inIntervals}
        today="2026-11-25"
      />
    </>
  );
}

beforeEach(() => {
  jest.resetAllMocks();
  Object.defineProperty(globalThis.crypto, "randomUUID", { value: () => "id", configurable: true });
});

const field = (name: string) => screen.getByLabelText(`Right hand, ${name}, mm`);

describe("one hand's figures", () => {
  it("show what is measured as typed, and what is estimated with its range", () => {
    render(<Page />);
    expect(field("1 and 5, widest, no force")).toHaveValue("172");
    expect(field("2 and 5, widest, no force")).toHaveValue("");
    expect(field("2 and 5, widest, no force")).toHaveAttribute(
      "placeholder",
      expect.stringMatching(/^≈\d+ \(\d+–\d+\)$/),
    );
    expect(screen.getByText(/\+1 mm since 2 Jun 2026/)).toBeInTheDocument();
  });

  it("refuse what no hand can be in a sentence, keep it as typed, and are not sent", async () => {
    render(<Page />);
    const widest = field("1 and 5, widest, no force");
    await userEvent.clear(widest);
    await userEvent.type(widest, "120");
    expect(screen.getByRole("alert")).toHaveTextContent("1 and 5 cannot open more with comfort (150 mm)");
    expect(screen.getByRole("button", { name: "Keep as a new measurement" })).toBeDisabled();
    expect(widest).toHaveValue("120");
  });

  it("are kept with the day, and stay as typed where the server refuses", async () => {
    measure.mockResolvedValue({ ok: false, message: "The day of a measurement cannot lie ahead." });
    render(<Page />);
    await userEvent.type(field("2 and 5, widest, no force"), "113");
    await userEvent.click(screen.getByRole("button", { name: "Keep as a new measurement" }));
    await waitFor(() => expect(screen.getByRole("alert")).toHaveTextContent("cannot lie ahead"));
    expect(field("2 and 5, widest, no force")).toHaveValue("113");
    expect(measure).toHaveBeenCalledWith({
      id: "id",
      playerId: "me",
      side: "right",
      measuredOn: "2026-11-25",
      way: "typed",
      rulerSpan: 191,
      pairs: { "1-5": { comfortable: 150, widest: 172 }, "2-5": { widest: 113 } },
      tipWidths: {},
      behind: {},
    });
  });

  it("can be answered in intervals", async () => {
    render(<Page inIntervals />);
    const select = screen.getByLabelText("Right hand, 1 and 4, widest, no force, as an interval of white keys");
    await userEvent.selectOptions(select, "seventh");
    expect(select).toHaveValue("seventh");
    measure.mockResolvedValue({ ok: true });
    await userEvent.click(screen.getByRole("button", { name: "Keep as a new measurement" }));
    await waitFor(() => expect(measure).toHaveBeenCalled());
    // Six white keys and a patch at the facing edges of a seventh.
    expect((measure.mock.calls[0] as [HandMeasured])[0].pairs!["1-4"]!.widest).toBeCloseTo(5 * 23.5 + 9, 6);
  });

  it("follow a fingertip that is drawn by arrows, a millimetre at a time", async () => {
    render(<Page />);
    const little = screen.getByRole("slider", { name: "right little finger" });
    expect(little).toHaveAttribute("aria-valuetext", "172 mm");
    little.focus();
    await userEvent.keyboard("{ArrowRight}{ArrowRight}");
    expect(field("1 and 5, widest, no force")).toHaveValue("174");
    screen.getByRole("slider", { name: "right thumb" }).focus();
    await userEvent.keyboard("{ArrowRight}");
    expect(field("1 and 5, widest, no force")).toHaveValue("173");
  });
});

describe("figures that are not kept yet", () => {
  function Draft({ id, measured }: { id: string; measured: HandMeasured }) {
    const draft = useHandDraft("right", { id, measured });
    return (
      <HandForm
        playerId="me"
        draft={draft}
        history={[]}
        instrument={FULL_SIZE}
        inIntervals={false}
        today="2026-11-25"
      />
    );
  }
  const span = () => screen.getByLabelText("Right hand, span on a ruler, mm");

  it("outlast a page made new with the same measurement, and give way to a newer one", async () => {
    const { rerender } = render(<Draft id="b" measured={KEPT} />);
    await userEvent.clear(span());
    await userEvent.type(span(), "195");
    rerender(<Draft id="b" measured={{ ...KEPT }} />);
    expect(span()).toHaveValue("195");
    rerender(<Draft id="c" measured={{ ...KEPT, rulerSpan: 197 }} />);
    expect(span()).toHaveValue("197");
  });
});
