import { act, renderHook, waitFor } from "@testing-library/react";
import type { NoteId } from "@/core/passage/note";
import { USUAL_WISHES } from "@/core/options/asked/wishes";
import type { Fingering } from "@/core/fingering/study/fingering";
import type { OptionData, PassageData } from "@/server/types";

const changeOption = jest.fn();
const walkEdits = jest.fn();
const around = jest.fn();
jest.mock("@/server/actions", () => ({
  changeOption: (asked: unknown) => changeOption(asked) as unknown,
  walkEdits: (asked: unknown) => walkEdits(asked) as unknown,
}));
jest.mock("@/worker/clients", () => ({
  fingeringWorker: () => ({ around: (asked: unknown) => around(asked) as unknown }),
}));
const toast = Object.assign(jest.fn(), { error: jest.fn() });
jest.mock("sonner", () => ({
  get toast() {
    return toast;
  },
}));

import { CHANGES } from "../../keeping/sending";
import { useOptions } from "./use-options";

const N1 = "b1-s1-v1-n1" as NoteId;
const N2 = "b1-s1-v1-n2" as NoteId;
const digits = (a: number, b: number): Fingering => ({ [N1]: a, [N2]: b }) as Fingering;
const option: OptionData = {
  id: "one",
  name: "A",
  title: null,
  origin: "solved",
  leaning: "balanced",
  author: null,
  version: 4,
  digits: digits(1, 2),
  pins: {},
  ruledOut: {},
  first: digits(1, 2),
  undoable: 0,
  redoable: 0,
};
const data = { options: [option], wishes: USUAL_WISHES } as unknown as PassageData;

beforeEach(() => {
  jest.resetAllMocks();
  localStorage.clear();
  CHANGES.clear();
  let ids = 0;
  Object.defineProperty(globalThis.crypto, "randomUUID", {
    value: () => `00000000-0000-4000-8000-${String(++ids).padStart(12, "0")}`,
    configurable: true,
  });
});

describe("the options in hand", () => {
  it("show a pin with the rest worked out around it, and keep it on the version shown", async () => {
    around.mockResolvedValue({ stopped: false, found: digits(3, 4) });
    changeOption.mockResolvedValue({
      ok: true,
      value: { outcome: "kept", now: { ...option, version: 5, undoable: 1 } },
    });
    const { result } = renderHook(() => useOptions(data));
    act(() => result.current.pin("one", N1, 3));
    await waitFor(() =>
      expect(result.current.options[0]).toMatchObject({
        digits: digits(3, 4),
        pins: { [N1]: 3 },
        version: 5,
        undoable: 1,
      }),
    );
    expect(around).toHaveBeenCalledWith({
      leaning: "balanced",
      wishes: USUAL_WISHES,
      digits: { [N1]: 3, [N2]: 2 },
      pins: { [N1]: 3 },
      ruledOut: {},
    });
    expect(changeOption).toHaveBeenCalledWith(
      expect.objectContaining({ onVersion: 4, noteId: N1, finger: 3, digits: digits(3, 4) }),
    );
    expect(result.current.keeping).toBe("kept");
  });

  it("show the pin alone when a newer search stopped this one, and still keep it", async () => {
    around.mockResolvedValue({ stopped: true });
    changeOption.mockResolvedValue({ ok: true, value: { outcome: "kept", now: { ...option, version: 5 } } });
    const { result } = renderHook(() => useOptions(data));
    act(() => result.current.pin("one", N1, 5));
    await waitFor(() =>
      expect(changeOption).toHaveBeenCalledWith(expect.objectContaining({ digits: digits(5, 2), pins: { [N1]: 5 } })),
    );
  });

  it("rule a finger out and allow it again, and keep both", async () => {
    around.mockResolvedValue({ stopped: false, found: digits(3, 4) });
    changeOption.mockResolvedValue({ ok: true, value: { outcome: "kept", now: { ...option, version: 5 } } });
    const { result } = renderHook(() => useOptions(data));
    act(() => result.current.ruleOut("one", N1, 1));
    await waitFor(() =>
      expect(result.current.options[0]).toMatchObject({ ruledOut: { [N1]: [1] }, digits: digits(3, 4) }),
    );
    expect(changeOption).toHaveBeenLastCalledWith(expect.objectContaining({ kind: "rule-out", noteId: N1, finger: 1 }));
    act(() => result.current.ruleOut("one", N1, 1));
    await waitFor(() => expect(result.current.options[0]!.ruledOut[N1]).toEqual([]));
    await waitFor(() => expect(changeOption).toHaveBeenLastCalledWith(expect.objectContaining({ kind: "allow" })));
  });

  it("lift only what is pinned", () => {
    const { result } = renderHook(() => useOptions(data));
    act(() => result.current.pin("one", N1, null));
    expect(around).not.toHaveBeenCalled();
  });

  it("hold both versions when the option has moved on, and go on from either", async () => {
    const theirs = { ...option, version: 9, digits: digits(2, 5) };
    around.mockResolvedValue({ stopped: false, found: digits(3, 4) });
    changeOption.mockResolvedValueOnce({ ok: true, value: { outcome: "outdated", now: theirs } });
    const { result } = renderHook(() => useOptions(data));
    act(() => result.current.pin("one", N1, 3));
    await waitFor(() =>
      expect(result.current.outdated).toMatchObject({ theirs: { version: 9 }, mine: { digits: digits(3, 4) } }),
    );

    changeOption.mockResolvedValueOnce({ ok: true, value: { outcome: "kept", now: { ...theirs, version: 10 } } });
    act(() => result.current.keepMine());
    await waitFor(() =>
      expect(changeOption).toHaveBeenLastCalledWith(expect.objectContaining({ onVersion: 9, digits: digits(3, 4) })),
    );
    expect(result.current.outdated).toBeNull();
  });

  it("take theirs when told to", async () => {
    const theirs = { ...option, version: 9, digits: digits(2, 5) };
    around.mockResolvedValue({ stopped: false, found: digits(3, 4) });
    changeOption.mockResolvedValue({ ok: true, value: { outcome: "outdated", now: theirs } });
    const { result } = renderHook(() => useOptions(data));
    act(() => result.current.pin("one", N1, 3));
    await waitFor(() => expect(result.current.outdated).not.toBeNull());
    act(() => result.current.keepTheirs());
    expect(result.current.options[0]).toMatchObject({ version: 9, digits: digits(2, 5) });
  });

  it("walk to what the server gives back, and say when another window was there first", async () => {
    walkEdits.mockResolvedValueOnce({
      ok: true,
      value: { outcome: "kept", now: { ...option, version: 5, digits: digits(4, 5) } },
    });
    walkEdits.mockResolvedValueOnce({
      ok: true,
      value: { outcome: "outdated", now: { ...option, version: 8, digits: digits(1, 5) } },
    });
    const { result } = renderHook(() => useOptions(data));
    act(() => result.current.walk("one", "undo"));
    await waitFor(() => expect(result.current.options[0]!.digits).toEqual(digits(4, 5)));
    act(() => result.current.walk("one", "redo"));
    await waitFor(() => expect(result.current.options[0]!.version).toBe(8));
    expect(walkEdits.mock.calls).toEqual([
      [{ id: expect.any(String) as string, fingeringId: "one", onVersion: 4, way: "undo" }],
      [{ id: expect.any(String) as string, fingeringId: "one", onVersion: 5, way: "redo" }],
    ]);
    expect(toast).toHaveBeenCalledWith(expect.stringContaining("Another window"));
  });

  it("keep what is on its way when the server's options come in between, and follow them in all else", async () => {
    around.mockResolvedValue({ stopped: false, found: digits(3, 4) });
    let answer: (value: unknown) => void = () => undefined;
    changeOption.mockImplementation(() => new Promise((resolve) => (answer = resolve)));
    const { result } = renderHook(() => useOptions(data));
    act(() => result.current.pin("one", N1, 3));
    await waitFor(() => expect(changeOption).toHaveBeenCalled());
    act(() => result.current.setOptions([{ ...option, version: 8, undoable: 2 }]));
    expect(result.current.options[0]).toMatchObject({ pins: { [N1]: 3 }, digits: digits(3, 4), undoable: 2 });
    act(() => answer({ ok: true, value: { outcome: "kept", now: { ...option, version: 9, undoable: 3 } } }));
    await waitFor(() => expect(result.current.options[0]).toMatchObject({ pins: { [N1]: 3 }, version: 9 }));
  });

  it("follow an undo of what was asked of the whole passage", async () => {
    const others = [{ ...option, digits: digits(2, 3), redoable: 1 }];
    walkEdits.mockResolvedValue({ ok: true, value: { outcome: "kept", now: others[0], options: others } });
    const { result } = renderHook(() => useOptions(data));
    act(() => result.current.walk("one", "undo"));
    await waitFor(() => expect(result.current.options).toEqual(others));
  });

  it("say why the server refused", async () => {
    around.mockResolvedValue({ stopped: false, found: digits(3, 4) });
    changeOption.mockResolvedValue({ ok: false, message: "This option is not there any more." });
    const { result } = renderHook(() => useOptions(data));
    act(() => result.current.pin("one", N1, 3));
    await waitFor(() => expect(toast.error).toHaveBeenCalledWith("This option is not there any more."));
  });

  it("show and send again what was on its way when the window was closed, on the version it was made on", async () => {
    around.mockResolvedValue({ stopped: false, found: digits(3, 4) });
    changeOption.mockImplementation(() => new Promise(() => undefined));
    const first = renderHook(() => useOptions(data));
    act(() => first.result.current.pin("one", N1, 3));
    await waitFor(() => expect(changeOption).toHaveBeenCalled());
    first.unmount();
    // The window is closed: what it had on its way goes with it.
    CHANGES.clear();
    changeOption.mockReset();
    changeOption.mockResolvedValue({
      ok: true,
      value: { outcome: "kept", now: { ...option, version: 5, undoable: 1 } },
    });
    const moved = { ...data, options: [{ ...option, version: 4 }] };
    const second = renderHook(() => useOptions(moved));
    await waitFor(() => expect(second.result.current.options[0]).toMatchObject({ pins: { [N1]: 3 }, version: 5 }));
    expect(changeOption).toHaveBeenCalledWith(
      expect.objectContaining({ onVersion: 4, noteId: N1, digits: digits(3, 4) }),
    );
    second.unmount();
    changeOption.mockReset();
    renderHook(() => useOptions(data));
    expect(changeOption).not.toHaveBeenCalled();
  });

  it("pin and clear a whole stretch as one change", async () => {
    around.mockImplementation(() => Promise.resolve({ stopped: true }));
    changeOption.mockResolvedValue({ ok: true, value: { outcome: "kept", now: { ...option, version: 5 } } });
    const { result } = renderHook(() => useOptions(data));
    act(() => result.current.pinStretch("one", [N1, N2]));
    await waitFor(() => expect(result.current.options[0]!.pins).toEqual({ [N1]: 1, [N2]: 2 }));
    await waitFor(() => expect(changeOption).toHaveBeenCalledTimes(1));
    expect(changeOption).toHaveBeenCalledWith(
      expect.objectContaining({ kind: "pin-stretch", noteId: N1, finger: null }),
    );
    act(() => result.current.clearStretch("one", [N1, N2]));
    await waitFor(() => expect(result.current.options[0]!.pins).toEqual({}));
    await waitFor(() =>
      expect(changeOption).toHaveBeenLastCalledWith(expect.objectContaining({ kind: "clear-stretch" })),
    );
    act(() => result.current.clearStretch("one", [N1]));
    expect(changeOption).toHaveBeenCalledTimes(2);
  });
});
