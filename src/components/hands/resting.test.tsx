import { render, screen, waitFor } from "@testing-library/react";
import userEvent from "@testing-library/user-event";

const beginRest = jest.fn();
const finishRest = jest.fn();
jest.mock("@/server/actions", () => ({
  beginRest: (asked: unknown) => beginRest(asked) as unknown,
  finishRest: (asked: unknown) => finishRest(asked) as unknown,
}));

import { Resting } from "./resting";

beforeEach(() => {
  jest.resetAllMocks();
  Object.defineProperty(globalThis.crypto, "randomUUID", { value: () => "id", configurable: true });
});

describe("resting", () => {
  it("asks for fingers and a reason before it sends anything, and loses nothing", async () => {
    render(<Resting playerId="me" rests={[]} today="2026-11-25" />);
    await userEvent.type(screen.getByLabelText("To be looked at again on"), "2026-12-09");
    await userEvent.click(screen.getByRole("button", { name: "Mark as resting" }));
    expect(await screen.findByText("Say which fingers are resting.")).toBeInTheDocument();
    expect(screen.getByText("Write down why, in a few words.")).toBeInTheDocument();
    expect(beginRest).not.toHaveBeenCalled();
  });

  it("marks a whole hand, with a day two weeks ahead if nothing else is said", async () => {
    beginRest.mockResolvedValue({ ok: true, value: [] });
    render(<Resting playerId="me" rests={[]} today="2026-11-25" />);
    await userEvent.selectOptions(screen.getByLabelText("Hand"), "left");
    await userEvent.click(screen.getByRole("button", { name: "Whole hand" }));
    await userEvent.type(screen.getByLabelText("Why"), "a plaster");
    await userEvent.click(screen.getByRole("button", { name: "Mark as resting" }));
    await waitFor(() =>
      expect(beginRest).toHaveBeenCalledWith({
        id: "id",
        playerId: "me",
        side: "left",
        fingers: [1, 2, 3, 4, 5],
        reason: "a plaster",
        reviewOn: "2026-12-09",
      }),
    );
  });

  it("says what is resting, and when the day to look at it again has gone by", async () => {
    finishRest.mockResolvedValue({ ok: true, value: [] });
    const rest = { id: "r", side: "right", fingers: [4, 5], reason: "a sprain", since: "2026-10-01" } as const;
    render(<Resting playerId="me" rests={[{ ...rest, reviewOn: "2026-11-01" }]} today="2026-11-25" />);
    expect(screen.getByText("Right 4 and 5").closest("li")).toHaveTextContent(
      "You wanted to look at it again on 1 Nov 2026.",
    );
    await userEvent.click(screen.getByRole("button", { name: "Plays again" }));
    expect(finishRest).toHaveBeenCalledWith({ id: "r", request: expect.any(String) as string, ended: true });
  });
});
