import { render, screen, waitFor, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { judge } from "@/core/fingering/study";
import { day } from "@/core/time/days";
import type { OptionData, PassageData, VerdictData } from "@/server/types";
import { fingered, studyOfKeys } from "../../../tests/support/studies";

const decide = jest.fn();
jest.mock("@/server/actions", () => ({ decide: (asked: unknown) => decide(asked) as unknown }));

import { CauseTable } from "./cause-table";
import { Verdict } from "./verdict";

const taken: VerdictData = {
  kind: "taken",
  fingeringId: "b",
  reason: "It stays clear at speed.",
  author: "M. T.",
  decideOn: null,
  reviewAfter: null,
  on: day("2026-11-20"),
  at: "2026-11-20T10:00:00.000Z",
};
const data = {
  id: "passage",
  options: [
    { id: "a", name: "A" },
    { id: "b", name: "B" },
  ],
  verdicts: [],
} as unknown as PassageData;

beforeEach(() => {
  jest.resetAllMocks();
  Object.defineProperty(globalThis.crypto, "randomUUID", { value: () => "id", configurable: true });
});

describe("the verdict", () => {
  it("wants an option before it is sent, and shows what was kept", async () => {
    decide.mockResolvedValue({ ok: true, value: [taken] });
    render(<Verdict data={data} author="M. T." />);
    await userEvent.type(screen.getByLabelText("Why"), "It stays clear at speed.");
    await userEvent.click(screen.getByRole("button", { name: "Take it" }));
    expect(screen.getByRole("alert")).toHaveTextContent("Choose the option that is taken.");
    expect(decide).not.toHaveBeenCalled();
    await userEvent.click(screen.getByRole("radio", { name: "Take option B" }));
    await userEvent.click(screen.getByRole("button", { name: "Take it" }));
    await waitFor(() => expect(screen.getByText("It stays clear at speed.")).toBeInTheDocument());
    expect(decide).toHaveBeenCalledWith(
      expect.objectContaining({ kind: "taken", fingeringId: "b", author: "M. T.", passageId: "passage" }),
    );
  });

  it("tells why it was refused and loses nothing that was typed", async () => {
    decide.mockResolvedValue({ ok: false, message: "Write down why, in a few words." });
    render(<Verdict data={data} author="M. T." />);
    await userEvent.click(screen.getByRole("radio", { name: "Take option A" }));
    await userEvent.type(screen.getByLabelText("Why"), " ");
    await userEvent.click(screen.getByRole("button", { name: "Take it" }));
    await waitFor(() => expect(screen.getByRole("alert")).toHaveTextContent("Write down why"));
    expect(screen.getByLabelText("Why")).toHaveValue(" ");
  });

  it("can be reopened, and keeps its history", async () => {
    const reopened: VerdictData = { ...taken, kind: "reopened", fingeringId: null, reason: "" };
    decide.mockResolvedValue({ ok: true, value: [taken, reopened] });
    render(<Verdict data={{ ...data, verdicts: [taken] }} author="M. T." />);
    await userEvent.click(screen.getByRole("button", { name: "Reopen" }));
    const history = await screen.findByRole("list", { name: "Earlier verdicts" });
    expect(
      within(history)
        .getAllByRole("listitem")
        .map((item) => item.textContent),
    ).toEqual([expect.stringContaining("reopened"), expect.stringContaining("B taken, It stays clear at speed.")]);
    expect(screen.getByRole("button", { name: "Take it" })).toBeInTheDocument();
  });
});

describe("the table of causes", () => {
  it("adds up to the strain of each option and marks the lower one in words", () => {
    const study = studyOfKeys([60, 62, 64, 65, 67]);
    const pair = ["12312", "12345"].map((digits, i) => {
      const fingering = fingered(study, digits);
      return { option: { id: String(i), name: "AB"[i]! } as OptionData, judged: judge(study, fingering) };
    });
    render(<CauseTable pair={pair} />);
    const rows = screen.getAllByRole("row").slice(1);
    const values = (row: HTMLElement) =>
      within(row)
        .getAllByRole("cell")
        .map((cell) => Number(cell.textContent.replace("less", "")));
    const together = rows.find((r) => r.textContent.startsWith("Together"))!;
    const causes = rows.slice(0, rows.indexOf(together));
    [0, 1].forEach((i) => {
      const sum = causes.reduce((total, row) => total + values(row)[i]!, 0);
      expect(Math.abs(sum - values(together)[i]!)).toBeLessThan(0.06 * causes.length);
      expect(values(together)[i]).toBeCloseTo(pair[i]!.judged.strain, 1);
    });
    expect(within(together).getByText("less")).toBeInTheDocument();
  });
});
