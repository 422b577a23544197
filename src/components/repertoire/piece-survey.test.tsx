import { render, screen, waitFor } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { withNuqsTestingAdapter } from "nuqs/adapters/testing";
import { USUAL_ALLOWANCES } from "@/core/reach/allowances";
import type { SurveyData } from "@/core/reach/survey";
import { beats } from "@/core/time/beats";
import { surveyService } from "@/worker/survey-service";
import { note, passage } from "../../../tests/support/passages";

const pieceToSurvey = jest.fn();
let service: ReturnType<typeof surveyService>;
jest.mock("@/server/actions", () => ({ pieceToSurvey: (asked: unknown) => pieceToSurvey(asked) as unknown }));
jest.mock("@/worker/clients", () => ({ surveyWorker: () => service }));
jest.mock("comlink", () => ({ proxy: (given: unknown) => given }));

import { PieceSurvey } from "./piece-survey";

const hand = { measured: { rulerSpan: 191 }, resting: [] };
/** Two bars: thirds, and tenths. */
const DATA: SurveyData = {
  study: {
    passage: passage(
      [
        [60, 64],
        [60, 76],
      ].flatMap((keys, bar) =>
        keys.map((key, i) => note(`b${bar}n${i}`, key, String(4 * bar), "1", { bar: String(bar + 1), beat: beats(0) })),
      ),
      "both",
      2,
    ),
    hands: { right: hand, left: hand },
    octaveWidth: 164.5,
    manner: { tempo: 96, touch: "legato", pedal: false },
  },
  bars: [0, 1].map((i) => ({ number: String(i + 1), start: beats(4 * i) })),
  allows: USUAL_ALLOWANCES,
};

const onBar = jest.fn();
const show = () =>
  render(<PieceSurvey pieceId="p" octaveWidth={164.5} onBar={onBar} />, {
    wrapper: withNuqsTestingAdapter({ hasMemory: true }),
  });

beforeEach(() => {
  jest.resetAllMocks();
  pieceToSurvey.mockResolvedValue({ ok: true, value: DATA });
  service = surveyService(
    () => Promise.resolve(),
    () => 0,
  );
});

describe("the survey of a piece", () => {
  it("says how much is out of reach, here and on another octave width, and what helps", async () => {
    show();
    await waitFor(() => expect(screen.getByText(/Of 2 moments with more than one key to hold/)).toBeInTheDocument());
    expect(screen.getByText(/1 relaxed, 0 working, 0 strained, 1 out of reach/)).toHaveTextContent(
      "On an octave of 152 mm in the place of 164.5 mm, 1 would be out of reach.",
    );
    expect(screen.getByText(/As it is written, this piece is not for these hands: 1 of 2/)).toBeInTheDocument();
    expect(screen.getByText(/other hand helps 1/)).toBeInTheDocument();
  });

  it("goes from a bar of the strip, and from a hard place, to a new passage", async () => {
    show();
    await userEvent.click(await screen.findByRole("button", { name: /^Bar 2: right hand out of reach/ }));
    await userEvent.click(screen.getByRole("button", { name: "New passage" }));
    expect(onBar.mock.calls).toEqual([[2], [2]]);
  });

  it("asks anew for another octave width", async () => {
    show();
    await screen.findByText(/Of 2 moments/);
    await userEvent.selectOptions(screen.getByLabelText("Against an octave of"), "140 mm");
    await waitFor(() =>
      expect(screen.getByText(/On an octave of 140 mm in the place of 164.5 mm, 0/)).toBeInTheDocument(),
    );
    expect(pieceToSurvey).toHaveBeenCalledTimes(1);
  });

  it("can be stopped and taken up again", async () => {
    let release: () => void = () => undefined;
    const waiting = surveyService(
      () => new Promise((resolve) => (release = resolve)),
      (() => {
        let now = 0;
        return () => (now += 100);
      })(),
    );
    service = waiting;
    show();
    await userEvent.click(await screen.findByRole("button", { name: "Stop" }));
    expect(screen.getByText("The survey was stopped.")).toBeInTheDocument();
    release();
    service = surveyService(
      () => Promise.resolve(),
      () => 0,
    );
    await userEvent.click(screen.getByRole("button", { name: "Survey the piece" }));
    await waitFor(() => expect(screen.getByText(/Of 2 moments/)).toBeInTheDocument());
  });

  it("tells why a piece cannot be surveyed", async () => {
    pieceToSurvey.mockResolvedValue({ ok: false, message: "This piece is not there any more." });
    show();
    await waitFor(() => expect(screen.getByRole("alert")).toHaveTextContent("not there any more"));
  });

  it("waits for a connection, and surveys when there is one again", async () => {
    pieceToSurvey.mockRejectedValueOnce(new TypeError("Failed to fetch"));
    show();
    await waitFor(() => expect(screen.getByText(/Of 2 moments/)).toBeInTheDocument());
    expect(pieceToSurvey).toHaveBeenCalledTimes(2);
    expect(screen.queryByRole("alert")).not.toBeInTheDocument();
  });

  it("says that the computing broke off, and begins again when asked", async () => {
    const whole = service;
    service = { ...whole, survey: () => Promise.reject(new Error("a worker died twice")) };
    show();
    await waitFor(() => expect(screen.getByRole("alert")).toHaveTextContent("The computing broke off."));
    service = whole;
    await userEvent.click(screen.getByRole("button", { name: "Survey the piece" }));
    await waitFor(() => expect(screen.getByText(/Of 2 moments/)).toBeInTheDocument());
  });
});
