import { render, screen, waitFor } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import type { BlockData, DiaryData, DiaryDay, StoryData } from "@/server/types";

const writeNote = jest.fn();
const push = jest.fn();
jest.mock("@/server/actions/practice", () => ({ writeNote: (asked: unknown) => writeNote(asked) as unknown }));
jest.mock("@/server/actions", () => ({}));
jest.mock("next/navigation", () => ({
  useRouter: () => ({ push: (way: string): void => void push(way), refresh: () => undefined }),
  unstable_isUnrecognizedActionError: () => false,
}));

import { Diary } from "./diary";

const PASSAGES = [
  { id: "p", title: "The run", piece: "Dark Water" },
  { id: "q", title: "The leap", piece: "Iron Gate" },
];
const day = (more: Partial<DiaryDay> = {}): DiaryDay => ({
  day: "2026-05-20" as never,
  blocks: [],
  takes: [],
  decided: [],
  notes: [],
  dose: { right: 0, left: 0 },
  minutes: 0,
  ...more,
});
const diary = (days: readonly DiaryDay[], more: Partial<DiaryData> = {}): DiaryData => ({
  playerId: "me",
  today: "2026-05-21" as never,
  days,
  page: 14,
  hasMore: false,
  passages: PASSAGES,
  doses: [],
  ...more,
});
const show = (data: DiaryData, story: StoryData | null = null, words = "", back = 0) =>
  render(<Diary diary={data} story={story} score={null} words={words} back={back} />);

beforeEach(() => {
  jest.resetAllMocks();
  Object.defineProperty(globalThis.crypto, "randomUUID", { value: () => "id", configurable: true });
});

describe("a day of the diary", () => {
  it("says what was played, how clean, how tense, on which fingering, and what was decided and why", () => {
    const takes = [{ passageId: "p", takes: 5, clean: 3, cleanTempo: 96, tension: 4, options: ["A", "B"] }];
    const decided = [
      { passageId: "p", kind: "taken", option: "A", reason: "It stays clear when it is fast.", author: "Me" },
    ];
    show(diary([day({ takes, decided, minutes: 40 })]));
    const entry = screen.getByRole("region", { name: "20 May 2026" });
    expect(entry).toHaveTextContent("Wednesday 20 May 202640 minutes");
    expect(entry).toHaveTextContent(
      "5 takes of A and B, 3 clean, the fastest of those at ♩ = 96; tension up to 4 of 10, The run",
    );
    expect(entry).toHaveTextContent("Taken: A, The run: It stays clear when it is fast. (Me)");
  });

  it("says what was done and what was not, and in whose words", () => {
    const block: BlockData = {
      id: "b",
      doing: "secure",
      passage: { id: "p", title: "The run" },
      piece: null,
      why: "x",
      minutes: 10,
      dose: { right: 0, left: 0 },
      state: "planned",
      done: null,
    };
    const done = { minutes: 9, tempo: 96, count: { good: 4, plays: 6 }, loose: false, note: "It set.", at: "" };
    const notes = [{ id: "n", passageId: "q", on: "2026-05-20" as never, text: "Let it drop.", author: "A teacher" }];
    show(
      diary([
        day({
          blocks: [
            { ...block, state: "done", done },
            { ...block, id: "c" },
          ],
          notes,
        }),
      ]),
    );
    const entry = screen.getByRole("region", { name: "20 May 2026" });
    expect(entry).toHaveTextContent("Secure: The run 9 min, ladder to ♩ = 96, 4 of 6 good, not looseIt set.");
    expect(entry).toHaveTextContent("Let it drop. A teacher (The leap)");
    expect(entry).toHaveTextContent("Planned and not done: Secure: The run.");
  });
});

describe("the diary", () => {
  it("is empty in words, and says which words no day holds", () => {
    const { rerender } = show(diary([]));
    expect(screen.getByText("Nothing is written here yet.")).toBeInTheDocument();
    rerender(<Diary diary={diary([])} story={null} score={null} words="thumb late" back={0} />);
    expect(screen.getByText("No day holds “thumb late”.")).toBeInTheDocument();
  });

  it("goes back and forth page by page", () => {
    show(diary([day()], { hasMore: true }), null, "", 14);
    expect(screen.getByRole("link", { name: "Earlier days" })).toHaveAttribute("href", "/diary?back=28");
    expect(screen.getByRole("link", { name: "Later days" })).toHaveAttribute("href", "/diary");
  });

  it("is searched by words and by passage", async () => {
    show(diary([]));
    await userEvent.type(screen.getByLabelText("Days that hold the words"), "late thumb{Enter}");
    expect(push).toHaveBeenCalledWith("/diary?words=late%20thumb");
    await userEvent.selectOptions(screen.getByLabelText("Passage"), "q");
    expect(push).toHaveBeenCalledWith("/diary?passage=q");
  });

  it("keeps a note, and loses nothing where it is refused", async () => {
    writeNote.mockResolvedValueOnce({ ok: false, message: "This passage is not there any more." });
    writeNote.mockResolvedValueOnce({ ok: true, value: { id: "id" } });
    show(diary([]));
    const text = screen.getByLabelText("In your own words");
    await userEvent.type(text, "The thumb came late.");
    await userEvent.selectOptions(screen.getByLabelText("About"), "p");
    await userEvent.click(screen.getByRole("button", { name: "Keep" }));
    expect(await screen.findByText("This passage is not there any more.")).toBeInTheDocument();
    expect(text).toHaveValue("The thumb came late.");
    await userEvent.click(screen.getByRole("button", { name: "Keep" }));
    await waitFor(() => expect(text).toHaveValue(""));
    expect(writeNote).toHaveBeenLastCalledWith({
      ...{ id: "id", playerId: "me", passageId: "p", on: "2026-05-21" },
      ...{ text: "The thumb came late.", author: "" },
    });
  });

  it("tells the story of a passage, advice side by side with its authors", () => {
    const said = (id: string, text: string, author: string) => ({
      author,
      said: [{ id, passageId: "p", on: "2026-05-20" as never, text, author }],
    });
    const story: StoryData = {
      passage: { id: "p", title: "The run", piece: "Dark Water", tempo: 112 },
      advice: [said("1", "Bound.", "A teacher"), said("2", "Carried.", "Another edition")],
      tempi: [],
      bars: [],
    };
    show(diary([]), story);
    expect(screen.getByRole("heading", { level: 1 })).toHaveTextContent("The run Dark Water");
    const advice = screen.getByRole("region", { name: "Advice" });
    expect(advice).toHaveTextContent("A teacherBound. 20 May 2026Another editionCarried. 20 May 2026");
    expect(screen.getByRole("link", { name: "Practice" })).toHaveAttribute("href", "/practice/p");
  });
});
