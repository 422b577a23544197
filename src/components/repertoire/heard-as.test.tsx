import { render, screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import type { HeardData } from "@/server/types";

const hearPieceAgain = jest.fn();
jest.mock("@/server/actions", () => ({ hearPieceAgain: (asked: unknown) => hearPieceAgain(asked) as unknown }));
jest.mock("next/navigation", () => ({ unstable_isUnrecognizedActionError: () => false }));

import { HeardAs } from "./heard-as";

const heard: HeardData = {
  choices: { fifths: 1 },
  guessed: {
    ...{ beat: "ear", time: [3, 4], isTimeStated: false, upbeat: "1" as never, fifths: 1, isSignatureStated: false },
    ...{ hands: "cost", hasTwoTracks: true, finest: 32 },
  },
  doubts: [
    { key: 7, doubt: "spelling", bar: 3, beat: "1" as never, name: "C sharp", now: "C sharp", otherwise: "D flat" },
  ],
};

beforeEach(() => {
  jest.resetAllMocks();
  hearPieceAgain.mockResolvedValue({ ok: true, value: heard });
});

describe("a piece as it was heard", () => {
  it("says what was guessed, and what is doubtful", () => {
    render(<HeardAs pieceId="p" heard={heard} isSettled={false} />);
    const section = screen.getByRole("region", { name: "As it was heard" });
    expect(section).toHaveTextContent(
      "Guessed: the beat, the bars, the key, which hand plays what, the voices and the spelling.",
    );
    expect(section).toHaveTextContent("1 note is doubtful");
    expect(section).toHaveTextContent("Bar 3, C sharp: C sharp");
  });

  it("changes each of it in one gesture, and keeps what was said before", async () => {
    render(<HeardAs pieceId="p" heard={heard} isSettled={false} />);
    await userEvent.click(screen.getByRole("button", { name: "Write D flat" }));
    const turned = [{ key: 7, doubt: "spelling" }];
    expect(hearPieceAgain).toHaveBeenLastCalledWith({ pieceId: "p", choices: { fifths: 1, turned } });
    await userEvent.selectOptions(screen.getByLabelText("Bars of"), "6/8");
    expect(hearPieceAgain).toHaveBeenLastCalledWith({ pieceId: "p", choices: { fifths: 1, time: [6, 8] } });
    await userEvent.selectOptions(screen.getByLabelText("Hands"), "tracks");
    expect(hearPieceAgain).toHaveBeenLastCalledWith({ pieceId: "p", choices: { fifths: 1, hands: "tracks" } });
  });

  it("stays as it is once passages speak of its notes", () => {
    render(<HeardAs pieceId="p" heard={heard} isSettled />);
    expect(screen.getByLabelText("Bars of")).toBeDisabled();
    expect(screen.getByRole("button", { name: "Write D flat" })).toBeDisabled();
  });
});
