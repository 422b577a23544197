import { render, screen, waitFor, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { judge } from "@/core/fingering/study/study";
import { day } from "@/core/time/days";
import type { OptionData, PassageData, TakeData, VerdictData } from "@/server/types";
import { fingered, studyOfKeys } from "../../../../tests/support/studies";

const decide = jest.fn();
const practise = jest.fn();
jest.mock("@/server/actions", () => ({
  decide: (asked: unknown) => decide(asked) as unknown,
  practise: (asked: unknown) => practise(asked) as unknown,
}));

import { CauseTable } from "../tables/cause-table";
import { Verdict } from "./verdict";
import { CHANGES } from "../../keeping/sending";

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
const study = studyOfKeys([60, 62, 64, 65, 67, 69, 71, 72]);
const data = {
  id: "passage",
  options: [
    { id: "a", name: "A", digits: fingered(study, "12312345") },
    { id: "b", name: "B", digits: fingered(study, "12341234") },
  ],
  study: { manner: { tempo: 120 } },
  recital: { title: "An evening", heldOn: "2027-03-12" },
  verdicts: [],
  practised: [],
  today: day("2026-11-25"),
  halt: null,
} as unknown as PassageData;
const shown = (more: Partial<PassageData> = {}, takes: readonly TakeData[] = []) => (
  <Verdict data={{ ...data, ...more }} study={study} author="M. T." takes={takes} />
);
const take = (i: number, more: Partial<TakeData>): TakeData => ({
  ...{ id: String(i), fingeringId: "b", version: 1, source: "midi piano", tempo: 100, tempoReached: 100, clean: false },
  ...{ faults: 2, snip: null, first: "", amounts: {}, astray: {}, late: {}, felt: null },
  at: `2026-11-${String(1 + i).padStart(2, "0")}T10:00:00.000Z`,
  ...more,
});

beforeEach(() => {
  jest.resetAllMocks();
  localStorage.clear();
  CHANGES.clear();
  Object.defineProperty(globalThis.crypto, "randomUUID", { value: () => "id", configurable: true });
});

describe("the verdict", () => {
  it("has the runner-up and its price ready after two weeks of takes without improvement, and not where it improves", () => {
    const unclean = Array.from({ length: 18 }, (_, i) => take(i, {}));
    const { unmount } = render(shown({ verdicts: [taken] }, unclean));
    const ready = screen.getByText(/without improvement: change the fingering/);
    expect(ready).toHaveTextContent(/Ready in its place: A, \d+ of 8 fingers/);
    unmount();
    render(
      shown(
        { verdicts: [taken] },
        unclean.map((one, i) => ({ ...one, clean: i > 8 })),
      ),
    );
    expect(screen.queryByText(/without improvement/)).toBeNull();
  });

  it("counts what was tried of what each day asks for, snips apart, the simulated piano's takes not at all", () => {
    const undecided = {
      ...taken,
      kind: "undecided",
      fingeringId: null,
      decideOn: day("2026-11-27"),
      on: day("2026-11-24"),
    } as const;
    const at = "2026-11-25T10:00:00.000Z";
    render(
      shown({ verdicts: [undecided] }, [
        take(1, { at, tempo: 60, clean: true }),
        take(2, { at, fingeringId: "a", tempo: 60, clean: true }),
        take(3, { at, fingeringId: "a", tempo: 60, source: "simulated piano" }),
      ]),
    );
    const today = screen.getByText("Today").closest("li")!;
    expect(within(today).getByText("1 of 3 done")).toBeInTheDocument();
    expect(within(today).getByText(/1 of 1 clean/)).toBeInTheDocument();
  });

  it("wants an option before it is sent, and shows what was kept", async () => {
    decide.mockResolvedValue({ ok: true, value: [taken] });
    render(shown());
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

  it("keeps what was written until the server has kept it, and after a refusal", async () => {
    let answer: (value: unknown) => void = () => undefined;
    decide.mockImplementation(() => new Promise((resolve) => (answer = resolve)));
    render(shown());
    await userEvent.click(screen.getByRole("radio", { name: "Take option B" }));
    await userEvent.type(screen.getByLabelText("Why"), "It stays");
    await userEvent.click(screen.getByRole("button", { name: "Take it" }));
    await waitFor(() => expect(decide).toHaveBeenCalled());
    expect(screen.getByLabelText("Why")).toHaveValue("It stays");
    answer({ ok: false, message: "This option does not belong to this passage." });
    await waitFor(() => expect(screen.getByRole("alert")).toHaveTextContent("does not belong"));
    expect(screen.getByLabelText("Why")).toHaveValue("It stays");
  });

  it("tells why it was refused and loses nothing that was typed", async () => {
    render(shown());
    await userEvent.click(screen.getByRole("radio", { name: "Take option A" }));
    await userEvent.type(screen.getByLabelText("Why"), " ");
    await userEvent.click(screen.getByRole("button", { name: "Take it" }));
    await waitFor(() => expect(screen.getByRole("alert")).toHaveTextContent("Write down why"));
    expect(screen.getByLabelText("Why")).toHaveValue(" ");
    expect(decide).not.toHaveBeenCalled();
  });

  it("keeps what is being written when the page is closed, and sends again what was on its way", async () => {
    decide.mockImplementation(() => new Promise(() => undefined));
    const first = render(shown());
    await userEvent.click(screen.getByRole("radio", { name: "Take option B" }));
    await userEvent.type(screen.getByLabelText("Why"), "It stays");
    first.unmount();
    const second = render(shown());
    expect(screen.getByLabelText("Why")).toHaveValue("It stays");
    await userEvent.click(screen.getByRole("button", { name: "Take it" }));
    second.unmount();
    // The window is closed: what it had on its way goes with it.
    CHANGES.clear();
    decide.mockReset().mockResolvedValue({ ok: true, value: [taken] });
    render(shown());
    await waitFor(() => expect(screen.getByText("It stays clear at speed.")).toBeInTheDocument());
    expect(decide).toHaveBeenCalledWith(expect.objectContaining({ kind: "taken", reason: "It stays", id: "id" }));
  });

  it("proposes nothing to try while the player has stopped at a sign of harm", () => {
    const undecided = { ...taken, kind: "undecided", fingeringId: null, decideOn: day("2026-11-28") } as const;
    const plan = { name: "What to try until then" };
    const { rerender } = render(shown({ verdicts: [undecided] }));
    expect(screen.getByRole("list", plan)).toBeInTheDocument();
    rerender(shown({ verdicts: [undecided], halt: { sign: "pain", since: "2026-11-25T08:00:00.000Z" } }));
    expect(screen.queryByRole("list", plan)).toBeNull();
  });

  it("offers a deadline from the days left, and then says what to try each day", async () => {
    const undecided = {
      ...taken,
      kind: "undecided",
      fingeringId: null,
      reason: "",
      decideOn: day("2026-12-05"),
    } as const;
    decide.mockResolvedValue({ ok: true, value: [undecided] });
    render(shown());
    expect(screen.getByLabelText("Decide by")).toHaveValue("2026-12-05");
    await userEvent.click(screen.getByRole("button", { name: "Leave it open until then" }));
    const plan = await screen.findByRole("list", { name: "What to try until then" });
    expect(within(plan).getAllByText(/^♩ = 120, snips/).length).toBeGreaterThan(0);
    expect(within(plan).getByText("Today")).toBeInTheDocument();
    expect(screen.getByText(/in 10 days/)).toBeInTheDocument();
  });

  it("prices learning against what is in the fingers, with a last day and a fallback", async () => {
    render(shown({ verdicts: [{ ...taken, kind: "known", fingeringId: "a" }] }));
    const price = screen.getByRole("region", { name: "Price in learning" });
    expect(price).toHaveTextContent("in the fingers: nothing new");
    expect(price).toHaveTextContent(
      /5 of 8 fingers and 1 of 1 join new; about \d+ days of practice, against an old habit; begin by/,
    );
    expect(price).toHaveTextContent("fall back on A, which is in the fingers");
    decide.mockResolvedValue({ ok: true, value: [] });
    await userEvent.selectOptions(screen.getByLabelText("In the fingers now"), "nothing yet");
    expect(decide).toHaveBeenCalledWith(expect.objectContaining({ kind: "known", fingeringId: null }));
  });

  it("counts practice days until the review, and asks for it when it is due", async () => {
    const verdicts = [{ ...taken, reviewAfter: 2 }];
    practise.mockResolvedValue({ ok: true, value: [day("2026-11-24"), day("2026-11-25")] });
    render(shown({ verdicts, practised: [day("2026-11-24")] }));
    expect(screen.getByText(/Practised on 1 day; to be looked at again after 1 more/)).toBeInTheDocument();
    await userEvent.click(screen.getByRole("button", { name: "Practised today" }));
    expect(await screen.findByText(/time to look at it again/)).toBeInTheDocument();
    decide.mockResolvedValue({ ok: true, value: verdicts });
    await userEvent.click(screen.getByRole("button", { name: /keep it/ }));
    expect(decide).toHaveBeenCalledWith(expect.objectContaining({ kind: "reviewed", reviewAfter: 2 }));
  });

  it("can be reopened, and keeps its history", async () => {
    const reopened: VerdictData = { ...taken, kind: "reopened", fingeringId: null, reason: "" };
    decide.mockResolvedValue({ ok: true, value: [taken, reopened] });
    render(shown({ verdicts: [taken] }));
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
    const short = studyOfKeys([60, 62, 64, 65, 67]);
    const pair = ["12312", "12345"].map((digits, i) => {
      const fingering = fingered(short, digits);
      return { option: { id: String(i), name: "AB"[i]! } as OptionData, judged: judge(short, fingering) };
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
