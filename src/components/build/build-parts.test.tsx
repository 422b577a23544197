import { render, screen, waitFor, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { figuresOf } from "@/core/figures/find";
import { staysOf } from "@/core/figures/stays";
import { staysAlong } from "@/core/figures/stays-along";
import { struckAgainIn } from "@/core/figures/struck-again";
import { turnsOf, waysBackOf } from "@/core/figures/ways-back";
import { positionsOf } from "@/core/fingering/explain/positions";
import { notesAsked } from "@/core/fingering/study/study";
import { USUAL_WISHES } from "@/core/options/asked/wishes";
import { fingered, studyOfKeys } from "../../../tests/support/studies";

const share = jest.fn();
jest.mock("@/worker/clients", () => ({
  fingeringWorker: () => ({ share: (asked: unknown) => share(asked) as unknown, stop: jest.fn() }),
}));
jest.mock("comlink", () => ({ proxy: (value: unknown) => value }));
jest.mock("sonner", () => ({ toast: { error: jest.fn() } }));

import { FiguresList } from "./figures-list";
import { PositionsList } from "./positions-list";
import { RulesForm } from "./rules-form";
import { SharingForm } from "./sharing-form";

describe("positions", () => {
  const study = studyOfKeys([60, 62, 64, 65, 67, 69, 71, 72]);
  const { notes } = study.passage;

  it("are listed by their joins, with mm and ms, and lead to their place", async () => {
    const onGo = jest.fn();
    const positions = positionsOf(study, fingered(study, "12312345"));
    render(<PositionsList positions={positions} notes={notes} onGo={onGo} />);
    const [join] = screen.getAllByRole("listitem");
    expect(join).toHaveTextContent(/thumb pass, right hand/);
    expect(join).toHaveTextContent(/\d+ mmin \d+ ms/);
    await userEvent.click(within(join!).getByRole("button", { name: "Bar 1, beat 1¾" }));
    expect(onGo).toHaveBeenCalledWith(notes[3]!.id);
  });

  it("say when the hand stays", () => {
    render(<PositionsList positions={positionsOf(studyOfKeys([60, 62, 64]), {})} notes={[]} onGo={jest.fn()} />);
    expect(screen.getByText(/the hand stays where it is placed/)).toBeInTheDocument();
  });
});

describe("figures", () => {
  const study = studyOfKeys([60, 64, 62, 67, 65, 71, 72, 62, 65, 64, 69, 67]);
  const show = (digits: string, price = { by: 1.2, where: { note: notesAsked(study)[8]!, by: 9 }, exact: true }) => {
    const onTying = jest.fn();
    render(
      <FiguresList
        seen={{
          figures: figuresOf(study),
          stays: [],
          along: [],
          waysBack: [],
          turns: [],
          struckAgain: [],
          broke: false,
          price,
        }}
        notes={study.passage.notes}
        fingering={fingered(study, digits)}
        tying="all"
        onTying={onTying}
        onGo={jest.fn()}
      />,
    );
    return onTying;
  };

  it("say how they return, how alike they lie, what tying costs and where, and can be tied otherwise", async () => {
    const onTying = show("132541213254");
    expect(screen.getByText(/1 step of the scale up; black and white alike; same fingers$/)).toBeInTheDocument();
    expect(screen.getByText(/adds 1.2 to the mean strain/)).toHaveTextContent("most at Bar 1, beat 3");
    expect(screen.queryByRole("region", { name: "Memory traps" })).toBeNull();
    await userEvent.click(screen.getByRole("radio", { name: "Free" }));
    expect(onTying).toHaveBeenCalledWith("none");
  });

  it("are said to have broken off where the computing has, and not to be looked for still", () => {
    const seen = {
      figures: null,
      stays: [],
      along: [],
      waysBack: [],
      turns: [],
      struckAgain: [],
      broke: true,
      price: null,
    };
    render(<FiguresList {...{ seen, notes: [], fingering: {}, tying: "none", onTying: jest.fn(), onGo: jest.fn() }} />);
    expect(screen.getByText(/broke off. Load the page again/)).toBeInTheDocument();
    expect(screen.queryByText(/Looking for figures that return/)).toBeNull();
  });

  it("are shown with where the hand stays, and which fingers its keys have there, unless nothing is to be tied", async () => {
    const staying = studyOfKeys([60, 67, 64, 67, 60, 67, 64, 67, 60, 64]);
    const stays = staysOf(staying, []);
    const onGo = jest.fn();
    const seen = { figures: [], stays, along: [], waysBack: [], turns: [], struckAgain: [], broke: false, price: null };
    const given = {
      seen,
      notes: staying.passage.notes,
      fingering: fingered(staying, "1525152513"),
      onTying: jest.fn(),
      onGo,
    };
    const { rerender } = render(<FiguresList {...given} tying="alike" />);
    const region = screen.getByRole("region", { name: "Where the hand stays" });
    expect(region).toHaveTextContent("Bar 1, beat 1 to Bar 1, beat 3¼C 4 with 1, E 4 with 2 and 3, G 4 with 5");
    await userEvent.click(within(region).getByRole("button", { name: "Bar 1, beat 3¼" }));
    expect(onGo).toHaveBeenCalledWith(staying.passage.notes.at(-1)!.id);
    rerender(<FiguresList {...given} tying="none" />);
    expect(screen.queryByRole("region", { name: "Where the hand stays" })).toBeNull();
  });

  it("are shown with the first places where the hand stays, and the rest behind their number", async () => {
    const placed = [0, 4, 2, 5, 7, 4, 0];
    const keys = Array.from({ length: 6 }, (_, i) => placed.map((step) => 48 + step + 24 * (i % 2) + i)).flat();
    const study = studyOfKeys(keys);
    const stays = staysOf(study, []);
    expect(stays).toHaveLength(6);
    const seen = { figures: [], stays, along: [], waysBack: [], turns: [], struckAgain: [], broke: false, price: null };
    const given = { seen, notes: study.passage.notes, fingering: {}, onTying: jest.fn(), onGo: jest.fn() };
    render(<FiguresList {...given} tying="alike" />);
    const region = screen.getByRole("region", { name: "Where the hand stays" });
    const list = within(region).getAllByRole("list", { hidden: true });
    expect(list.map((each) => each.children.length)).toEqual([4, 2]);
    expect(within(region).getByText("2 more").closest("details")).not.toHaveAttribute("open");
    await userEvent.click(within(region).getByText("2 more"));
    expect(within(region).getByText("2 more").closest("details")).toHaveAttribute("open");
  });

  it("are shown with where a line goes there and back, and how many keys keep their finger", async () => {
    const study = studyOfKeys([60, 62, 64, 65, 67, 69, 67, 65, 64, 62, 60]);
    const seen = {
      figures: [],
      stays: [],
      along: [],
      waysBack: waysBackOf(study),
      turns: [],
      struckAgain: [],
      broke: false,
      price: null,
    };
    const given = { seen, notes: study.passage.notes, onTying: jest.fn(), onGo: jest.fn() };
    const { rerender } = render(<FiguresList {...given} fingering={fingered(study, "12312321321")} tying="alike" />);
    const region = (): HTMLElement => screen.getByRole("region", { name: "There and back" });
    expect(region()).toHaveTextContent("Bar 1, beat 1 to Bar 1, beat 3½every key keeps its finger");
    rerender(<FiguresList {...given} fingering={fingered(study, "12312343213")} tying="alike" />);
    expect(region()).toHaveTextContent("0 of 5 keys keep their finger");
    rerender(<FiguresList {...given} fingering={{}} tying="none" />);
    expect(screen.queryByRole("region", { name: "There and back" })).toBeNull();
  });

  it("count short turns under one hand, and say in how many every key keeps its finger", () => {
    const study = studyOfKeys([60, 64, 67, 72, 67, 64, 62, 65, 69, 65, 62]);
    const seen = {
      figures: [],
      stays: [],
      along: [],
      waysBack: [],
      turns: turnsOf(study),
      struckAgain: [],
      broke: false,
      price: null,
    };
    const given = { seen, notes: study.passage.notes, onTying: jest.fn(), onGo: jest.fn() };
    const { rerender } = render(<FiguresList {...given} fingering={fingered(study, "12353212421")} tying="alike" />);
    expect(screen.getByText("2 short turns lie under one hand; every key keeps its finger.")).toBeInTheDocument();
    rerender(<FiguresList {...given} fingering={fingered(study, "12353112421")} tying="alike" />);
    expect(screen.getByText(/in 1 of them every key keeps its finger/)).toBeInTheDocument();
  });

  it("are shown with where keys are struck again, and by which fingers in turn", async () => {
    const study = studyOfKeys([72, 72, 72, 74, 74, 74, 76, 76, 76]);
    const onGo = jest.fn();
    const seen = {
      figures: [],
      stays: [],
      along: [],
      waysBack: [],
      turns: [],
      struckAgain: struckAgainIn(study),
      broke: false,
      price: null,
    };
    const given = { seen, notes: study.passage.notes, onTying: jest.fn(), onGo };
    const { rerender } = render(<FiguresList {...given} fingering={fingered(study, "321321321")} tying="alike" />);
    const region = (): HTMLElement => screen.getByRole("region", { name: "Struck again" });
    expect(region()).toHaveTextContent("Bar 1, beat 1 to Bar 1, beat 33 groups of 3, each with 3 2 1");
    await userEvent.click(within(region()).getByRole("button", { name: "Bar 1, beat 1" }));
    expect(onGo).toHaveBeenCalledWith(study.passage.notes[0]!.id);
    rerender(<FiguresList {...given} fingering={fingered(study, "432321321")} tying="alike" />);
    expect(region()).toHaveTextContent("3 groups of 3, 2 of them with 3 2 1");
    rerender(<FiguresList {...given} fingering={{}} tying="none" />);
    expect(screen.queryByRole("region", { name: "Struck again" })).toBeNull();
  });

  it("say of a figure that is moved along how often the hand is set over it", () => {
    const keys = [0, 2, 4, 5].flatMap((step) => [60, 64, 67, 64].map((key) => key + step));
    const moved = studyOfKeys(keys);
    const figures = figuresOf(moved);
    const along = staysAlong(moved, figures, []);
    const given = { notes: moved.passage.notes, fingering: {}, onTying: jest.fn(), onGo: jest.fn() };
    const seen = { figures, stays: [], along, waysBack: [], turns: [], struckAgain: [], broke: false, price: null };
    const { rerender } = render(<FiguresList {...given} seen={seen} tying="alike" />);
    expect(screen.getByText(/The hand is set over it as over a chord each time/)).toBeInTheDocument();
    rerender(<FiguresList {...given} seen={{ ...seen, along: along.slice(1) }} tying="alike" />);
    expect(screen.getByText(/as over a chord 3 of 4 times/)).toBeInTheDocument();
    rerender(<FiguresList {...given} seen={{ ...seen, along: [] }} tying="none" />);
    expect(screen.queryByText(/The hand is set over/)).toBeNull();
  });

  it("tell of an accompaniment how many chords the hand is set on, and on how many each key keeps its finger", () => {
    const chords = [
      [48, 55, 52, 55],
      [48, 57, 53, 57],
      [47, 55, 50, 55],
    ].flat();
    const study = studyOfKeys(chords, "left");
    const figures = figuresOf(study);
    const seen = { figures, stays: [], along: staysAlong(study, figures, []), waysBack: [], turns: [] };
    const given = { notes: study.passage.notes, onTying: jest.fn(), onGo: jest.fn() };
    const all = { ...given, seen: { ...seen, struckAgain: [], broke: false, price: null } };
    const { rerender } = render(<FiguresList {...all} fingering={fingered(study, "513151215131")} tying="alike" />);
    expect(
      screen.getByText(/set on 3 broken chords one after another; every key keeps its finger/),
    ).toBeInTheDocument();
    rerender(<FiguresList {...all} fingering={fingered(study, "513151215132")} tying="alike" />);
    expect(screen.getByText(/one after another; in 2 of them every key keeps its finger/)).toBeInTheDocument();
    rerender(<FiguresList {...all} fingering={fingered(study, "513251235132")} tying="alike" />);
    expect(screen.getByText(/in none of them does every key keep its finger/)).toBeInTheDocument();
    const one = { ...all.seen, along: all.seen.along.slice(0, 1) };
    rerender(<FiguresList {...all} seen={one} fingering={fingered(study, "513251235132")} tying="alike" />);
    expect(
      screen.getByText("The hand is set on one broken chord; not every key keeps its finger."),
    ).toBeInTheDocument();
    rerender(<FiguresList {...all} fingering={{}} tying="none" />);
    expect(screen.queryByText(/broken chords/)).toBeNull();
    expect(screen.getByRole("radio", { name: "If alike" })).toBeInTheDocument();
  });

  it("name a memory trap where one finger differs", () => {
    show("132541213253");
    expect(screen.getByRole("region", { name: "Memory traps" })).toHaveTextContent(/beat 2 has 4, Bar 1, beat 3¾ 3/);
  });
});

describe("shared hands", () => {
  const sharing = { ...USUAL_WISHES.sharing, allowed: "all" } as const;
  const form = (more: object = {}) => {
    const called = { onSharing: jest.fn(), onMark: jest.fn(), onTaken: jest.fn().mockResolvedValue(undefined) };
    render(<SharingForm sharing={sharing} marked={[]} note={"n1" as never} taken={{}} {...called} {...more} />);
    return called;
  };

  it("are worked out as wished and given on", async () => {
    share.mockResolvedValue({ stopped: false, found: { taken: { n1: "left" }, exact: false } });
    const { onTaken } = form();
    await userEvent.click(screen.getByRole("button", { name: "Share out" }));
    await waitFor(() => expect(onTaken).toHaveBeenCalledWith({ n1: "left" }));
    expect(share).toHaveBeenCalledWith({ ...sharing, marked: [] });
    expect(screen.getByRole("status")).toHaveTextContent(/The passage is long: a better way may exist/);
  });

  it("say how many notes are in the other hand", () => {
    form({ taken: { n1: "left" } });
    expect(screen.getByRole("status")).toHaveTextContent("In the other hand, bracketed in the score: 1 note.");
  });

  it("need a note marked where only marked ones may change, and go back to as written", async () => {
    const { onMark, onTaken } = form({ sharing: { ...sharing, allowed: "marked" }, taken: { n1: "left" } });
    await userEvent.click(screen.getByRole("button", { name: /Mark this note/ }));
    expect(onMark).toHaveBeenCalledWith("n1", true);
    await userEvent.click(screen.getByRole("button", { name: "As written" }));
    expect(onTaken).toHaveBeenCalledWith({});
  });

  it("are not shared out where no note may change", () => {
    form({ sharing: USUAL_WISHES.sharing });
    expect(screen.getByRole("button", { name: "Share out" })).toBeDisabled();
  });
});

describe("rules", () => {
  it("are set for the whole passage, and conflicts are named", async () => {
    const onRules = jest.fn();
    render(
      <RulesForm rules={USUAL_WISHES} conflicts={["At bar 1, beat 1, finger 2 is pinned twice."]} onRules={onRules} />,
    );
    await userEvent.click(screen.getByRole("checkbox", { name: "No thumb on black keys" }));
    expect(onRules).toHaveBeenCalledWith(expect.objectContaining({ noThumbOnBlack: true }));
    expect(screen.getByRole("status")).toHaveTextContent("pinned twice");
  });
});
