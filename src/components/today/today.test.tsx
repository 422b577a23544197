import { render, screen, waitFor, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import type { BlockData, TodayData } from "@/server/types";

const planMyDay = jest.fn();
const changeOfBlock = jest.fn();
const practiseLike = jest.fn();
const lookAhead = jest.fn();
const push = jest.fn();
jest.mock("@/server/actions/practice", () => ({
  planMyDay: (asked: unknown) => planMyDay(asked) as unknown,
  changeOfBlock: (asked: unknown) => changeOfBlock(asked) as unknown,
  practiseLike: (asked: unknown) => practiseLike(asked) as unknown,
  lookAhead: (asked: unknown) => lookAhead(asked) as unknown,
}));
jest.mock("next/navigation", () => ({
  useRouter: () => ({ push: (way: string): void => void push(way) }),
  unstable_isUnrecognizedActionError: () => false,
}));

import { Today } from "./today";

const PLAYER = "me";
const block = (id: string, more: Partial<BlockData> = {}): BlockData => ({
  id,
  doing: "learn",
  passage: { id: `p-${id}`, title: `Passage ${id}` },
  piece: null,
  why: "it is not clean near its tempo yet",
  minutes: 10,
  dose: { right: 0, left: 0 },
  state: "planned",
  done: null,
  ...more,
});
const DONE = { minutes: 8, tempo: 92, count: { good: 5, plays: 7 }, loose: true, note: "", at: "2026-05-20T10:00:00Z" };
const day = (blocks: readonly BlockData[] | null, more: Partial<TodayData> = {}): TodayData => ({
  playerId: PLAYER,
  day: "2026-05-20" as never,
  plan: blocks && { minutes: 60, isCold: false, blocks, hindered: [] },
  settings: { week: [60, 60, 45, 60, 60, 0, 0], school: { basis: "passage", movement: "slow" }, doseLimit: null },
  dose: { spent: { right: 12, left: 0 }, limit: 30, steps: [] },
  halt: null,
  ...more,
});

beforeEach(() => {
  jest.resetAllMocks();
  Object.defineProperty(globalThis.crypto, "randomUUID", { value: () => "id", configurable: true });
});

describe("today", () => {
  it("is planned from the time there is, which the week suggests", async () => {
    planMyDay.mockResolvedValue({ ok: true, value: day([block("a")]) });
    render(<Today data={day(null)} />);
    // A Wednesday.
    expect(screen.getByLabelText("Minutes today")).toHaveValue(45);
    await userEvent.clear(screen.getByLabelText("Minutes today"));
    await userEvent.type(screen.getByLabelText("Minutes today"), "4");
    expect(screen.getByRole("button", { name: "Plan the day" })).toBeDisabled();
    await userEvent.type(screen.getByLabelText("Minutes today"), "0");
    await userEvent.click(screen.getByLabelText("It is cold"));
    await userEvent.click(screen.getByRole("button", { name: "Plan the day" }));
    await waitFor(() =>
      expect(planMyDay).toHaveBeenCalledWith({ playerId: PLAYER, request: "id", minutes: 40, isCold: true }),
    );
    expect(await screen.findByRole("group", { name: "Next" })).toHaveTextContent("Learn: Passage a");
  });

  it("shows the next block with its reason, and one key begins it", async () => {
    render(<Today data={day([block("a", { state: "done", done: DONE }), block("b")])} />);
    const next = screen.getByRole("group", { name: "Next" });
    expect(next).toHaveTextContent("Learn: Passage b");
    expect(next).toHaveTextContent("Because it is not clean near its tempo yet.");
    await userEvent.keyboard("b");
    expect(push).toHaveBeenCalledWith("/practice/p-b?block=b");
  });

  it("sends what is to be decided to where it is decided", () => {
    render(<Today data={day([block("a", { doing: "decide" })])} />);
    expect(screen.getByRole("link", { name: /^Begin/ })).toHaveAttribute("href", "/side-by-side/p-a?block=a");
  });

  it("asks whether the hands are loose, and says what to do where they are not", async () => {
    const check = block("c", { doing: "check", passage: null, minutes: 1, why: "are the hands loose?" });
    changeOfBlock.mockResolvedValue({
      ok: true,
      value: day([{ ...check, state: "done", done: { ...DONE, tempo: null, count: null, loose: false } }, block("b")]),
    });
    render(<Today data={day([check, block("b")])} />);
    await userEvent.click(screen.getByRole("button", { name: "Not loose" }));
    expect(changeOfBlock).toHaveBeenCalledWith({
      id: "c",
      request: "id",
      playerId: PLAYER,
      change: { kind: "done", minutes: 1, tempo: null, count: null, loose: false, note: "" },
    });
    expect(await screen.findByText(/can wait until they are/)).toBeInTheDocument();
  });

  it("is changed by hand: moved, made shorter, struck out and had back", async () => {
    changeOfBlock.mockImplementation(() => ({ ok: true, value: day([block("a"), block("b")]) }));
    render(<Today data={day([block("a"), block("b"), block("c", { state: "struck" })])} />);
    const choose = async (of: string, item: string): Promise<unknown> => {
      await userEvent.click(screen.getByRole("button", { name: `Change Learn: Passage ${of}` }));
      await userEvent.click(await screen.findByRole("menuitem", { name: item }));
      await waitFor(() => expect(changeOfBlock).toHaveBeenCalled());
      const [asked] = changeOfBlock.mock.calls.at(-1) as [{ change: unknown }];
      changeOfBlock.mockClear();
      return asked.change;
    };
    expect(await choose("c", "Have it back")).toEqual({ kind: "restore" });
    expect(await choose("b", "Earlier")).toEqual({ kind: "move", before: "a" });
    expect(await choose("a", "Later")).toEqual({ kind: "move", before: null });
    expect(await choose("a", "5 minutes shorter")).toEqual({ kind: "minutes", minutes: 5 });
    expect(await choose("b", "Strike out")).toEqual({ kind: "strike" });
  });

  it("says where a block that was moved opens the hands before they are warm", () => {
    const wide = block("w", { dose: { right: 30, left: 0 } });
    render(<Today data={day([wide, block("b"), { ...wide, id: "later" }])} />);
    const rows = screen.getAllByRole("listitem");
    const said = /opens the hand wide, and the hands are not warm/;
    expect(rows[0]).toHaveTextContent(said);
    expect(rows[2]).not.toHaveTextContent(said);
  });

  it("says what is left out and why, and what wide openings have cost", () => {
    const plan = {
      minutes: 60,
      isCold: false,
      blocks: [],
      hindered: [{ title: "The leap", why: "the left hand is out of use" }],
    };
    const steps = [{ on: "2026-05-24" as never, share: 0.5 }];
    render(<Today data={day(null, { plan, dose: { spent: { right: 12, left: 0 }, limit: 15, steps } })} />);
    expect(screen.getByText(/The leap/).closest("li")).toHaveTextContent(
      "Left out: The leap, the left hand is out of use.",
    );
    const dose = screen.getByRole("region", { name: "Wide openings today" });
    expect(dose).toHaveTextContent("12 of 15");
    expect(dose).toHaveTextContent("It comes back by steps: 50 % on 24 May");
  });

  it("plans nothing while the player has stopped", () => {
    render(<Today data={day([block("a")], { halt: { sign: "pain", since: "2026-05-19T10:00:00Z" } })} />);
    expect(screen.getByRole("status")).toHaveTextContent("You stopped because of pain, on 19 May.");
    expect(screen.queryByRole("button", { name: /Plan/ })).toBeNull();
  });

  it("keeps how one practises, and refuses what no week has", async () => {
    practiseLike.mockResolvedValue({ ok: true, value: {} });
    render(<Today data={day(null)} />);
    await userEvent.click(screen.getByText("How I practise"));
    await userEvent.click(screen.getByRole("radio", { name: "snips early" }));
    await userEvent.clear(screen.getByLabelText("Sun"));
    await userEvent.type(screen.getByLabelText("Sun"), "999");
    expect(screen.getByRole("alert")).toHaveTextContent("Whole minutes from 0 to 360");
    await userEvent.clear(screen.getByLabelText("Sun"));
    await userEvent.type(screen.getByLabelText("Sun"), "20");
    await userEvent.click(screen.getByRole("button", { name: "Keep" }));
    expect(practiseLike).toHaveBeenCalledWith({
      playerId: PLAYER,
      week: [60, 60, 45, 60, 60, 0, 20],
      school: { basis: "passage", movement: "snips" },
      doseLimit: null,
    });
  });

  it("looks ahead when it is asked to", async () => {
    const ahead = [
      { day: "2026-05-21", minutes: 58, blocks: [{ doing: "keep", title: "The leap", why: "it is clean" }] },
    ];
    lookAhead.mockResolvedValue({ ok: true, value: ahead });
    render(<Today data={day(null)} />);
    await userEvent.click(screen.getByText("The days to come"));
    const days = await screen.findByRole("list", { name: "The days to come" });
    expect(within(days).getByRole("listitem")).toHaveTextContent("Thu 21 May 58 minutesKeep: The leap");
  });
});
