import { render, screen, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { judge, notesAsked } from "@/core/fingering/study/study";
import type { Lowering } from "@/core/fingering/explain/lowering";
import type { NoteId } from "@/core/passage/note";
import type { OptionData } from "@/server/types";
import { fingered, studyOfKeys } from "../../../tests/support/studies";
import { Causes } from "../passage-in-hand/causes";
import { FingerPad } from "./gestures/finger-pad";
import { KeepingState } from "../keeping/keeping-state";
import { OptionCards, type CardMerits, type OptionJudged } from "../passage-in-hand/option-cards";
import { OutdatedDialog } from "../passage-in-hand/outdated-dialog";
import { WorkingOut } from "../passage-in-hand/working-out";

const study = studyOfKeys([60, 62, 64, 65]);
const notes = notesAsked(study);

function option(name: string, digits: string, more: Partial<OptionData> = {}): OptionJudged {
  const fingering = fingered(study, digits);
  const data: OptionData = {
    id: `id-${name}`,
    name,
    origin: "solved",
    leaning: "balanced",
    author: null,
    title: null,
    version: 1,
    digits: fingering,
    pins: {},
    ruledOut: {},
    first: fingering,
    undoable: 0,
    redoable: 0,
    ...more,
  };
  return { option: data, judged: judge(study, fingering) };
}

const both = [option("A", "1231"), option("B", "1234", { origin: "printed" })];

describe("the option cards", () => {
  it("tell where each comes from, its strain and its moves, which is taken and which strains least", async () => {
    const [onChoose, onPreview] = [jest.fn(), jest.fn()];
    const merits: CardMerits = { widest: { amount: 71.4, where: null }, moves: 1, passes: 0, traps: 2 };
    render(
      <OptionCards
        all={both}
        chosen="A"
        previewed={null}
        taken="id-B"
        merits={new Map([["id-A", merits]])}
        least="B"
        onPreview={onPreview}
        onChoose={onChoose}
      />,
    );
    const cards = screen.getAllByRole("radio");
    expect(cards[0]).toHaveTextContent("opens 71 mm, 1 move, no passes, 2 traps");
    expect(within(cards[1]!).getByText("least")).toBeInTheDocument();
    expect(cards.map((c) => c.getAttribute("aria-checked"))).toEqual(["true", "false"]);
    expect(cards[1]).toHaveTextContent("as printed");
    expect(within(cards[1]!).getByText("taken")).toBeInTheDocument();
    expect(cards[0]).toHaveTextContent(both[0]!.judged.strain.toFixed(1));
    await userEvent.click(cards[1]!);
    expect(onChoose).toHaveBeenCalledWith("B");
  });

  it("tell of an option whose fingers another has already", () => {
    const [first] = notes;
    const begun = { digits: { [first!]: 1 }, origin: "typed" } as const;
    const all = [...both, option("C", "1231", { leaning: "least-strain" }), option("D", "1231", begun)];
    const given = { chosen: "A", previewed: null, taken: null, merits: new Map(), least: "A" };
    render(<OptionCards {...given} all={all} onPreview={jest.fn()} onChoose={jest.fn()} />);
    const cards = screen.getAllByRole("radio");
    expect(cards[2]).toHaveTextContent("the same fingers as A");
    expect(cards[2]).toHaveAccessibleName(/strain [\d.]+, the same fingers as A$/);
    for (const other of [0, 1, 3]) expect(cards[other]).not.toHaveTextContent("the same fingers");
  });

  it("are looked at by pointing or by keyboard, and put in force only when chosen", async () => {
    const [onChoose, onPreview] = [jest.fn(), jest.fn()];
    render(
      <OptionCards
        all={both}
        chosen="A"
        previewed={null}
        taken={null}
        merits={new Map()}
        least={null}
        onPreview={onPreview}
        onChoose={onChoose}
      />,
    );
    await userEvent.hover(screen.getAllByRole("radio")[1]!);
    expect(onPreview).toHaveBeenLastCalledWith("B");
    await userEvent.tab();
    await userEvent.keyboard("{ArrowDown}");
    expect(screen.getAllByRole("radio")[1]).toHaveFocus();
    expect(onChoose).not.toHaveBeenCalled();
    await userEvent.keyboard("{Enter}");
    expect(onChoose).toHaveBeenCalledWith("B");
  });
});

describe("the causes", () => {
  it("stand for the same note in each option, largest first, and add up", () => {
    render(<Causes all={both} note={notes[3]!} title="Bar 1, beat 1¾" />);
    expect(screen.getByRole("heading", { name: "Bar 1, beat 1¾" })).toBeInTheDocument();
    // Lesser causes are folded in a list of their own.
    const lists = screen.getAllByRole("list").filter((list) => !list.closest("details"));
    expect(lists).toHaveLength(2);
    expect(lists[0]).toHaveTextContent("thumb under the middle finger");
    const strains = both[0]!.judged.notes[notes[3]!]!.causes.map((c) => c.strain);
    expect([...strains].sort((a, b) => b - a)).toEqual(strains);
  });

  it("say what would lower it, and pin that at once", async () => {
    const onPin = jest.fn();
    const way = { note: notes[3]!, finger: 4, here: -7.2, elsewhere: 1.3, gain: "the thumb need not pass", changes: 1 };
    const before = { ...way, note: notes[2]!, finger: 2, here: -3, elsewhere: 0 };
    const lowering = { option: "id-A", notes: study.passage.notes, found: [way, before] as Lowering[], onPin };
    render(<Causes all={both} note={notes[3]!} title="" lowering={lowering} />);
    const ways = within(screen.getByRole("list", { name: "What would lower it" })).getAllByRole("button");
    expect(ways[0]).toHaveTextContent("with 4 here the thumb need not pass−7.2 (+1.3 elsewhere)");
    expect(ways[1]).toHaveTextContent("with 2 at bar 1, beat 1½ the thumb need not pass−3.0");
    await userEvent.click(ways[1]!);
    expect(onPin).toHaveBeenCalledWith(notes[2], 2);
  });

  it("say when a note lies at ease, when it is pinned, and when none is chosen", () => {
    const pinned = option("A", "1234", { pins: { [notes[0]!]: 1 } as OptionData["pins"] });
    const { rerender } = render(<Causes all={[pinned]} note={notes[0]!} title="" />);
    expect(screen.getByText("lies at ease")).toBeInTheDocument();
    expect(screen.getByText("pinned")).toBeInTheDocument();
    rerender(<Causes all={both} note={null} title="" />);
    expect(screen.getByText(/Choose a note/)).toBeInTheDocument();
  });
});

describe("the finger pad", () => {
  it("pins, lifts and walks, and offers only what can be done", async () => {
    const [onPin, onWalk] = [jest.fn(), jest.fn()];
    const held = option("A", "1234", { pins: { [notes[1]!]: 2 } as OptionData["pins"], undoable: 1 }).option;
    render(<FingerPad option={held} note={notes[1]!} onPin={onPin} onRuleOut={jest.fn()} onWalk={onWalk} />);
    expect(screen.getByRole("button", { name: "Pin finger 2" })).toHaveAttribute("aria-pressed", "true");
    await userEvent.click(screen.getByRole("button", { name: "Pin finger 4" }));
    await userEvent.click(screen.getByRole("button", { name: "Lift pin" }));
    await userEvent.click(screen.getByRole("button", { name: "Undo" }));
    expect(onPin.mock.calls).toEqual([[4], [null]]);
    expect(onWalk).toHaveBeenCalledWith("undo");
    expect(screen.getByRole("button", { name: "Redo" })).toBeDisabled();
  });

  it("lifts only where a pin is", () => {
    render(
      <FingerPad
        option={both[0]!.option}
        note={notes[0]!}
        onPin={jest.fn()}
        onRuleOut={jest.fn()}
        onWalk={jest.fn()}
      />,
    );
    expect(screen.getByRole("button", { name: "Lift pin" })).toBeDisabled();
  });
});

describe("how the page stands with the server", () => {
  it.each([
    ["kept", "Kept"],
    ["keeping", "Keeping…"],
    ["waiting", "Not kept yet: the server does not answer, trying again"],
  ] as const)("%s", (keeping, words) => {
    render(<KeepingState keeping={keeping} />);
    expect(screen.getByRole("status")).toHaveTextContent(words);
  });
});

describe("the search at work", () => {
  it("shows how far it has come, can be stopped, and begun again", async () => {
    const [onStop, onBegin] = [jest.fn(), jest.fn()];
    const { rerender } = render(
      <WorkingOut working={{ state: "working", share: 0.4 }} onStop={onStop} onBegin={onBegin} />,
    );
    expect(screen.getByRole("progressbar")).toHaveAttribute("aria-valuenow", "40");
    await userEvent.click(screen.getByRole("button", { name: "Stop" }));
    expect(onStop).toHaveBeenCalled();
    rerender(<WorkingOut working={{ state: "stopped" }} onStop={onStop} onBegin={onBegin} />);
    await userEvent.click(screen.getByRole("button", { name: "Begin again" }));
    expect(onBegin).toHaveBeenCalled();
    rerender(<WorkingOut working={{ state: "idle" }} onStop={onStop} onBegin={onBegin} />);
    expect(screen.queryByRole("button")).toBeNull();
  });
});

describe("two versions of one option", () => {
  it("are both shown with their differences, and the player chooses", async () => {
    const theirs = option("A", "1234", { version: 7 }).option;
    const mine = {
      id: "a change",
      seen: 1,
      fingeringId: theirs.id,
      noteId: notes[1] as NoteId,
      finger: 3 as const,
      digits: fingered(study, "1345"),
      kind: "pin" as const,
      pins: {},
      ruledOut: {},
      from: { digits: fingered(study, "1345"), pins: {}, ruledOut: {} },
    };
    const [onTheirs, onMine] = [jest.fn(), jest.fn()];
    render(<OutdatedDialog outdated={{ theirs, mine }} notes={notes} onTheirs={onTheirs} onMine={onMine} />);
    expect(screen.getByRole("alertdialog")).toHaveTextContent("where they differ, on 3 notes, is marked");
    expect(screen.getByText("There, version 7")).toBeInTheDocument();
    await userEvent.click(screen.getByRole("button", { name: "Keep the one here" }));
    await userEvent.click(screen.getByRole("button", { name: "Go on from the one there" }));
    expect([onTheirs.mock.calls.length, onMine.mock.calls.length]).toEqual([1, 1]);
  });
});
