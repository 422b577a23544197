import { act, render, renderHook, screen, waitFor } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import type { Pitch } from "@/core/keyboard/pitch";
import type { BlockData, PracticeStand } from "@/server/types";
import type { PianoInput } from "../piano/piano-input";

const keepPractice = jest.fn();
const changeOfBlock = jest.fn();
jest.mock("@/server/actions/practice", () => ({
  keepPractice: (asked: unknown) => keepPractice(asked) as unknown,
  changeOfBlock: (asked: unknown) => changeOfBlock(asked) as unknown,
}));
jest.mock("next/navigation", () => ({ unstable_isUnrecognizedActionError: () => false }));

import { BlockBanner } from "./block-banner";
import { CountPanel } from "./count-panel";
import { LadderPanel } from "./ladder-panel";
import { useCount } from "./use-count";
import { useHandsFree } from "./use-hands-free";
import type { LadderInHand } from "./use-ladder";
import { useStand } from "./use-stand";

beforeEach(() => {
  jest.resetAllMocks();
  keepPractice.mockResolvedValue({ ok: true, value: null });
  Object.defineProperty(globalThis.crypto, "randomUUID", { value: () => "id", configurable: true });
});

const STAND: PracticeStand = {
  ladder: null,
  count: null,
  worked: {},
  school: { basis: "passage", movement: "slow" },
  week: [],
  block: null,
};

describe("the count", () => {
  function Held() {
    const count = useCount(useStand("p", STAND), []);
    return <CountPanel count={count} seconds={6} />;
  }

  it("is kept with the player at every play, gives one back for a bad one, and says before how long it will take", async () => {
    render(<Held />);
    expect(screen.getByText(/5 will probably take about \d+ plays/)).toBeInTheDocument();
    await userEvent.clear(screen.getByLabelText("Good plays wanted"));
    await userEvent.type(screen.getByLabelText("Good plays wanted"), "2");
    for (const name of ["Good", "Not good", "Good", "Good"])
      await userEvent.click(screen.getByRole("button", { name }));
    expect(screen.getByRole("status")).toHaveTextContent("2 of 2 good, 4 played");
    expect(screen.getByText("That is it.")).toBeInTheDocument();
    expect(screen.getByRole("button", { name: "Good" })).toBeDisabled();
    await waitFor(() =>
      expect(keepPractice).toHaveBeenLastCalledWith({
        passageId: "p",
        ladder: null,
        count: { wanted: 2, plays: [true, false, true, true] },
        worked: {},
      }),
    );
    await userEvent.click(screen.getByRole("button", { name: "Undo" }));
    expect(screen.getByRole("status")).toHaveTextContent("1 of 2 good, 3 played");
  });

  it("refuses a number that is none", async () => {
    render(<Held />);
    await userEvent.clear(screen.getByLabelText("Good plays wanted"));
    await userEvent.type(screen.getByLabelText("Good plays wanted"), "99");
    expect(screen.getByText("A whole number from 1 to 30, please.")).toBeInTheDocument();
  });
});

describe("the ladder", () => {
  const ladder = (more: Partial<LadderInHand>): LadderInHand => ({
    tempo: 84,
    misses: 0,
    notch: "clockwork",
    target: 120,
    sensible: null,
    way: null,
    lastChange: null,
    played: () => undefined,
    slower: () => undefined,
    takeNotch: () => undefined,
    ...more,
  });

  it("says where it stands, what two misses do, and how far today is sensible", () => {
    const { rerender } = render(<LadderPanel ladder={ladder({ tempo: 250 })} />);
    expect(screen.getByRole("status")).toHaveTextContent("♩ = 250 of 120; click 125, every 2 quarters");
    rerender(<LadderPanel ladder={ladder({ misses: 1 })} />);
    expect(screen.getByText(/it goes a notch down/)).toBeInTheDocument();
    rerender(<LadderPanel ladder={ladder({ sensible: 80 })} />);
    expect(screen.getByText(/today is sensible up to there/)).toBeInTheDocument();
  });

  it("is honest about the way to the concert, and names what else there is", () => {
    const way = {
      days: [86, 88],
      on: ["2026-05-20", "2026-05-21"] as never,
      gain: 2,
      isOwnGain: true,
      reaches: false,
      instead: { tempo: 88, days: 18 },
    };
    render(<LadderPanel ladder={ladder({ way, lastChange: "2026-05-01" as never })} />);
    expect(screen.getByText(/it comes to ♩ = 88 by then, not to 120, at 2 a day, your own gain/)).toBeInTheDocument();
    expect(screen.getByText(/an easier option on the Bench; or 18 days of practice/)).toBeInTheDocument();
    expect(screen.getByText(/too late to begin another fingering/)).toBeInTheDocument();
    expect(screen.getByRole("list", { name: "Tempo of each day" })).toHaveTextContent("Wed 20 May 86Thu 21 May 88");
  });

  it("goes by what was played", async () => {
    const played = jest.fn();
    render(<LadderPanel ladder={ladder({ played })} />);
    await userEvent.click(screen.getByRole("button", { name: "Clean and easy" }));
    await userEvent.click(screen.getByRole("button", { name: "Not yet" }));
    expect(played.mock.calls).toEqual([[{ clean: true, easy: true }], [{ clean: false, easy: false }]]);
  });
});

describe("hands free", () => {
  /** A piano that is moved by the test. */
  function moved() {
    type Heard = Parameters<PianoInput["listen"]>;
    let told: Heard | null = null;
    const piano: PianoInput = {
      name: "moved",
      listen(...heard) {
        told = heard;
        return () => {
          told = null;
        };
      },
    };
    const key = (number: number, ms: number): void => told?.[0]({ key: number as Pitch, down: true, ms, velocity: 60 });
    const pedal = (value: number, ms: number): void => told?.[1]?.({ value, ms });
    return { piano, key, pedal };
  }

  it("counts by keys that foot switches type, by the pedal and the lowest key, those two in silence only", async () => {
    const said: string[] = [];
    const { piano, key, pedal } = moved();
    renderHook(() =>
      useHandsFree({ piano, isOn: true, onGood: () => said.push("good"), onBad: () => said.push("bad") }),
    );
    await userEvent.keyboard(" {PageDown}{Enter}{Backspace}{PageUp}");
    expect(said).toEqual(["good", "good", "good", "bad", "bad"]);
    said.length = 0;
    act(() => {
      pedal(100, 1000);
      pedal(110, 1050);
      pedal(0, 1200);
      key(60, 2000);
      pedal(100, 2500);
      pedal(0, 2600);
      key(21, 2700);
      key(21, 9000);
    });
    expect(said).toEqual(["good", "bad"]);
  });

  it("leaves space and Enter to a button that has the focus", async () => {
    const [onGood, pressed] = [jest.fn(), jest.fn()];
    function Beside() {
      useHandsFree({ piano: null, isOn: true, onGood, onBad: () => undefined });
      return <button onClick={pressed}>Here</button>;
    }
    render(<Beside />);
    screen.getByRole("button", { name: "Here" }).focus();
    await userEvent.keyboard(" {Enter}{PageDown}");
    expect(pressed).toHaveBeenCalledTimes(2);
    expect(onGood).toHaveBeenCalledTimes(1);
  });

  it("hears nothing while it is off", async () => {
    const onGood = jest.fn();
    renderHook(() => useHandsFree({ piano: null, isOn: false, onGood, onBad: onGood }));
    await userEvent.keyboard(" {Backspace}");
    expect(onGood).not.toHaveBeenCalled();
  });
});

describe("a block of the day", () => {
  const block: BlockData = {
    id: "b",
    doing: "secure",
    passage: { id: "p", title: "The run" },
    piece: null,
    why: "it is clean nearly up to its tempo",
    minutes: 10,
    dose: { right: 0, left: 0 },
    state: "planned",
    done: null,
  };

  it("is ended with what came of it, and names the next", async () => {
    const next = { ...block, id: "n", doing: "rest", passage: null, minutes: 5 };
    changeOfBlock.mockResolvedValue({ ok: true, value: { plan: { blocks: [{ ...block, state: "done" }, next] } } });
    render(<BlockBanner block={block} playerId="me" tempo={96} count={{ good: 4, plays: 6 }} />);
    expect(screen.getByRole("region", { name: "This block" })).toHaveTextContent(
      "Secure: The run 0 of 10 minutesUp the ladder, clean and easy. Because it is clean nearly up to its tempo.",
    );
    await userEvent.click(screen.getByRole("button", { name: "End this block" }));
    await userEvent.clear(screen.getByLabelText("Minutes"));
    await userEvent.type(screen.getByLabelText("Minutes"), "9");
    await userEvent.click(screen.getByRole("radio", { name: "no" }));
    await userEvent.type(screen.getByLabelText("In your own words"), "The elbow came in.");
    await userEvent.click(screen.getByRole("button", { name: "Keep it" }));
    expect(changeOfBlock).toHaveBeenCalledWith({
      id: "b",
      request: "id",
      playerId: "me",
      change: {
        kind: "done",
        minutes: 9,
        tempo: 96,
        count: { good: 4, plays: 6 },
        loose: false,
        note: "The elbow came in.",
      },
    });
    expect(await screen.findByRole("status")).toHaveTextContent("Next: Rest, 5 minutes.");
  });
});
