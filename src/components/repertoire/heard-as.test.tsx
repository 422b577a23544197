import { render, screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { withNuqsTestingAdapter } from "nuqs/adapters/testing";
import { pitch } from "@/core/keyboard/pitch";
import { note } from "../../../tests/support/passages";
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
    {
      ...{ key: 7, pitch: pitch(61), at: "7" as never, bar: 3, beat: "1" as never },
      ...{ doubt: "spelling", name: "C sharp", now: "C sharp", otherwise: "D flat" },
    },
  ],
};
const doubtful = [note("b3-s1-v1-n2", 61, "7", "1")];

function shown(isSettled = false): void {
  render(<HeardAs pieceId="p" heard={heard} doubtful={doubtful} isSettled={isSettled} />, {
    wrapper: withNuqsTestingAdapter({ hasMemory: true }),
  });
}

beforeEach(() => {
  jest.resetAllMocks();
  hearPieceAgain.mockResolvedValue({ ok: true, value: heard });
});

describe("a piece as it was heard", () => {
  it("says what was guessed, and what is doubtful", () => {
    shown();
    const section = screen.getByRole("region", { name: "As it was heard" });
    expect(section).toHaveTextContent(
      "Guessed: the beat, the bars, the key, which hand plays what, the voices and the spelling.",
    );
    expect(section).toHaveTextContent("1 note is doubtful");
    expect(section).toHaveTextContent("Bar 3, C sharp: C sharp");
  });

  it("changes each of it in one gesture, and keeps what was said before", async () => {
    shown();
    await userEvent.click(screen.getByRole("button", { name: "Write D flat" }));
    const turned = [{ key: 7, doubt: "spelling" }];
    expect(hearPieceAgain).toHaveBeenLastCalledWith({ pieceId: "p", choices: { fifths: 1, turned } });
    await userEvent.selectOptions(screen.getByLabelText("Bars of"), "6/8");
    expect(hearPieceAgain).toHaveBeenLastCalledWith({ pieceId: "p", choices: { fifths: 1, time: [6, 8] } });
    await userEvent.selectOptions(screen.getByLabelText("Hands"), "tracks");
    expect(hearPieceAgain).toHaveBeenLastCalledWith({ pieceId: "p", choices: { fifths: 1, hands: "tracks" } });
  });

  it("shows the note that is doubtful, where it is known", async () => {
    shown();
    await userEvent.click(screen.getByRole("button", { name: "Bar 3, C sharp: C sharp" }));
    expect(screen.getByRole("listitem")).toHaveAttribute("aria-current", "true");
  });

  it("stays as it is once passages speak of its notes", () => {
    shown(true);
    expect(screen.getByLabelText("Bars of")).toBeDisabled();
    expect(screen.getByRole("button", { name: "Write D flat" })).toBeDisabled();
  });
});
