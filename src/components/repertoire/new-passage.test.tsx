import { render, screen, waitFor } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import type { PieceData } from "@/server/types";

const newPassage = jest.fn();
const push = jest.fn();
jest.mock("@/server/actions", () => ({ newPassage: (asked: unknown) => newPassage(asked) as unknown }));
jest.mock("next/navigation", () => ({ useRouter: () => ({ push }) }));

import { NewPassage } from "./new-passage";

const piece: PieceData = {
  id: "piece",
  title: "Made up",
  fileName: "made-up.xml",
  heard: null,
  doubtful: [],
  entered: false,
  staves: 2,
  tempi: [
    { fromBar: 1, tempo: 72, source: "part P1, bar 1" },
    { fromBar: 3, tempo: 132, source: "part P2, bar 3" },
  ],
  partId: "P1",
  parts: [{ id: "P1", name: "Piano" }],
  bars: ["1", "2", "3"],
  music: "",
  beginning: "",
  remarks: [],
  octaveWidth: 164.5,
  passages: [],
  recitalId: null,
  recitals: [],
};

beforeEach(() => jest.resetAllMocks());

describe("a new passage", () => {
  it("starts from what the file says, and opens on the Bench", async () => {
    newPassage.mockResolvedValue({ ok: true, value: { passageId: "new" } });
    render(<NewPassage piece={piece} />);
    expect(screen.getByLabelText("Quarter notes a minute")).toHaveValue(72);
    expect(screen.getByLabelText("Hands")).toHaveValue("both");
    await userEvent.type(screen.getByLabelText("Name"), "The turn");
    await userEvent.click(screen.getByRole("button", { name: "Open on the Bench" }));
    await waitFor(() => expect(push).toHaveBeenCalledWith("/bench/new"));
    expect(newPassage).toHaveBeenCalledWith({
      id: expect.any(String) as string,
      pieceId: "piece",
      title: "The turn",
      fromBar: 1,
      toBar: 2,
      hands: "both",
      tempo: 72,
      touch: "legato",
      pedal: false,
    });
  });

  it.each([
    ["From bar", "3", "The last bar comes before the first."],
    ["To bar", "7", "The piece has 3 bars."],
    ["Quarter notes a minute", "2", "At least 10."],
    ["Quarter notes a minute", "", "Say the tempo as a number."],
  ])("complains at the field %s of %p, and keeps what was typed", async (label, value, words) => {
    render(<NewPassage piece={piece} />);
    await userEvent.type(screen.getByLabelText("Name"), "Kept");
    await userEvent.clear(screen.getByLabelText(label));
    if (value) await userEvent.type(screen.getByLabelText(label), value);
    await userEvent.click(screen.getByRole("button", { name: "Open on the Bench" }));
    expect(await screen.findByText(words)).toBeInTheDocument();
    expect(screen.getByLabelText("Name")).toHaveValue("Kept");
    expect(newPassage).not.toHaveBeenCalled();
  });

  it("shows what the server refuses, and offers both hands only where there are two staves", async () => {
    newPassage.mockResolvedValue({ ok: false, message: "Bars 1 to 2 hold no notes for the left hand." });
    render(<NewPassage piece={{ ...piece, staves: 1 }} />);
    expect(screen.queryByRole("option", { name: "Both hands" })).toBeNull();
    await userEvent.type(screen.getByLabelText("Name"), "Nothing there");
    await userEvent.click(screen.getByRole("button", { name: "Open on the Bench" }));
    expect(await screen.findByRole("alert")).toHaveTextContent("hold no notes");
    expect(push).not.toHaveBeenCalled();
  });
});
