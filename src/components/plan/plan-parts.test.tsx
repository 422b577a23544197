import { fireEvent, render, screen, within } from "@testing-library/react";
import { useState } from "react";
import { planOf } from "@/core/motion/plan/plan";
import { NO_PLAN_MARKS, type PlanMarks } from "@/core/motion/marks/plan-marks";
import type { NoteId } from "@/core/passage/note";
import { FULL_SIZE } from "@/core/keyboard/instrument";
import { handAt } from "@/core/motion/plan/moment";
import { fingered, studyOfKeys } from "../../../tests/support/studies";
import { PLAN_LANES } from "./lanes/lanes";
import { PlanPanel } from "./plan-panel";
import { SideView } from "./motion/side-view";

jest.mock("sonner", () => ({ toast: jest.fn() }));

const study = studyOfKeys([60, 72, 60, 72, 60, 72, 60, 72], "right", { tempo: 200 });
const plan = planOf(study, fingered(study, "15151515"));
const { notes } = study.passage;

function Panel({ onMarks, note = notes[0]!.id }: { onMarks?: (marks: PlanMarks) => void; note?: NoteId }) {
  const [marks, show] = useState(NO_PLAN_MARKS);
  const setMarks = (next: PlanMarks): void => {
    show(next);
    onMarks?.(next);
  };
  return (
    <PlanPanel
      plan={plan}
      inHand={{ marks, keeping: "kept", setMarks, setWithUndo: setMarks }}
      notes={notes}
      note={note}
      sideOf={() => "right"}
      stretch={[]}
      tried={null}
      onTry={() => undefined}
      onGo={() => undefined}
      signs="few"
    />
  );
}

describe("the panel of the hand plan", () => {
  it("says what to change with its figure and its place, dearest first", () => {
    render(<Panel />);
    const list = screen.getByRole("region", { name: "What to change" });
    const items = within(list).getAllByRole("listitem");
    expect(items[0]).toHaveTextContent(/Bar 1, beat/);
    expect(items[0]).toHaveTextContent(/\d/);
    expect(within(list).getByText(/the forearm rocks 6.7 times a second/)).toBeInTheDocument();
  });

  it("lets a touch be chosen, but no impulse of the arm from above", () => {
    const onMarks = jest.fn<void, [PlanMarks]>();
    render(<Panel onMarks={onMarks} />);
    fireEvent.change(screen.getByLabelText("Start"), { target: { value: "above" } });
    fireEvent.change(screen.getByLabelText("Energy"), { target: { value: "arm" } });
    expect(onMarks.mock.lastCall![0].touches[notes[0]!.id]).toMatchObject({ source: "arm", start: "on-key" });
  });

  it("puts signs and words at the note in hand, moves them and takes them away", () => {
    const onMarks = jest.fn<void, [PlanMarks]>();
    render(<Panel onMarks={onMarks} note={notes[1]!.id} />);
    fireEvent.click(screen.getByRole("button", { name: "Put here: let the wrist rise" }));
    expect(onMarks.mock.lastCall![0].signs).toMatchObject([{ sign: "rise", note: notes[1]!.id, above: true }]);
    fireEvent.change(screen.getByLabelText("Words of your own"), { target: { value: "sing" } });
    fireEvent.click(screen.getByRole("button", { name: "Write" }));
    expect(onMarks.mock.lastCall![0].signs[1]).toMatchObject({ sign: "words", words: "sing" });
    fireEvent.click(screen.getByRole("button", { name: "Put sing under the staff" }));
    expect(onMarks.mock.lastCall![0].signs.find((s) => s.words === "sing")!.above).toBe(false);
    fireEvent.click(screen.getByRole("button", { name: "Move sing to the note after" }));
    expect(onMarks.mock.lastCall![0].signs.find((s) => s.words === "sing")!.note).toBe(notes[2]!.id);
    fireEvent.click(screen.getAllByRole("button", { name: "Take away let the wrist rise" })[0]!);
    const { signs, hidden } = onMarks.mock.lastCall![0];
    expect(signs.filter((s) => s.sign === "rise").length + hidden.length).toBe(
      signs.some((s) => s.sign === "rise") ? 2 : 0,
    );
  });

  it("ticks what an eye has seen, and gives its caution once", () => {
    const onMarks = jest.fn<void, [PlanMarks]>();
    render(<Panel onMarks={onMarks} />);
    fireEvent.click(screen.getByLabelText("A joint caves in"));
    expect(onMarks.mock.lastCall![0].watched).toEqual(["joint-caves-in"]);
    expect(screen.getAllByText(/see a clinician who treats musicians/)).toHaveLength(1);
  });
});

describe("lanes", () => {
  it("each have a point an onset in their range, in words with a figure", () => {
    for (const lane of PLAN_LANES) {
      const { points, range } = lane.series(plan.hands[0]!, FULL_SIZE);
      expect(points.length).toBe(lane.id === "release" ? notes.length - 1 : notes.length);
      for (const { value, words } of points) {
        expect(value).toBeGreaterThanOrEqual(range[0]);
        expect(value).toBeLessThanOrEqual(range[1]);
        expect(words.length).toBeGreaterThan(3);
      }
    }
    const octaves = studyOfKeys(
      [
        [60, 72],
        [62, 74],
      ],
      "right",
      { tempo: 120 },
    );
    const held = planOf(octaves, fingered(octaves, "1515")).hands[0]!;
    const windows = PLAN_LANES.find((l) => l.id === "release")!.series(held, FULL_SIZE);
    expect(windows.points.some((p) => p.beyond)).toBe(true);
  });
});

describe("the view from the side", () => {
  it("says height and turn in words", () => {
    const moment = handAt(plan.hands[0]!, plan.hands[0]!.frames[1]!.ms)!;
    render(<SideView hands={[{ side: "right", moment }]} />);
    expect(screen.getByRole("img")).toHaveAccessibleName(
      /Right wrist .\d+ mm, turned \d+ degrees towards the little finger/,
    );
    expect(screen.getByText(/^wrist [+−]\d+ mm, turn \d+° to finger 5$/)).toBeVisible();
  });
});
