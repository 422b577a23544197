import { act, renderHook, waitFor } from "@testing-library/react";
import { stepsOf } from "@/core/fingering/study/steps";
import { later, type Later } from "../../../tests/support/later";
import { studyOfKeys } from "../../../tests/support/studies";
import type { Playing } from "./sound";

const begun: { readonly sound: Later<Playing | null>; readonly isWanted: () => boolean; readonly end: () => void }[] =
  [];
jest.mock("./sound", () => ({
  startPlaying: (_: unknown, __: unknown, ___: unknown, end: () => void, isWanted: () => boolean) => {
    const sound = later<Playing | null>();
    begun.push({ sound, isWanted, end });
    return sound.promise;
  },
}));
const error = jest.fn();
jest.mock("sonner", () => ({ toast: { error: (said: string): void => void error(said) } }));

import { usePlayer } from "./use-player";

const study = studyOfKeys([60, 62, 64, 65]);
const steps = stepsOf(study);
const SETTINGS = { loop: false, countIn: false, click: false };
const playing = () => ({ setTempo: jest.fn(), position: () => 0, heardAt: () => 0, stop: jest.fn() });
const player = () => renderHook(() => usePlayer(study, steps, 90, SETTINGS));

beforeEach(() => {
  begun.length = 0;
  error.mockClear();
});

describe("playing a passage", () => {
  it("stays silent when it was stopped before the sound had begun", async () => {
    const { result } = player();
    act(() => result.current.toggle(0, 3));
    expect(result.current.playing).toBe(true);
    act(() => result.current.toggle(0, 3));
    expect(result.current.playing).toBe(false);
    expect(begun[0]!.isWanted()).toBe(false);
    const late = playing();
    await act(async () => begun[0]!.sound.give(late));
    expect(late.stop).toHaveBeenCalledTimes(1);
    expect(result.current.playing).toBe(false);
  });

  it("plays what was asked for last, whichever sound is ready first", async () => {
    const { result } = player();
    act(() => result.current.toggle(0, 3));
    act(() => result.current.toggle(0, 3));
    act(() => result.current.toggle(1, 2));
    const [first, second] = [playing(), playing()];
    await act(async () => begun[1]!.sound.give(second));
    await act(async () => begun[0]!.sound.give(first));
    expect(first.stop).toHaveBeenCalledTimes(1);
    expect(second.stop).not.toHaveBeenCalled();
    expect(result.current.playing).toBe(true);
    act(() => begun[0]!.end());
    expect(result.current.playing).toBe(true);
    act(() => begun[1]!.end());
    expect(result.current.playing).toBe(false);
  });

  it("says nothing of a sound that failed after it was stopped, and says of one that is wanted", async () => {
    const { result } = player();
    act(() => result.current.toggle(0, 3));
    act(() => result.current.toggle(0, 3));
    await act(async () => begun[0]!.sound.fail(new Error("no loudspeaker")));
    expect(error).not.toHaveBeenCalled();
    act(() => result.current.toggle(0, 3));
    await act(async () => begun[1]!.sound.fail(new Error("no loudspeaker")));
    await waitFor(() => expect(error).toHaveBeenCalledWith("It cannot be played: no loudspeaker"));
    expect(result.current.playing).toBe(false);
  });

  it("stops when the page turns to other music", async () => {
    const hook = renderHook(({ on }: { on: typeof study }) => usePlayer(on, steps, 90, SETTINGS), {
      initialProps: { on: study },
    });
    act(() => hook.result.current.toggle(0, 3));
    const sound = playing();
    await act(async () => begun[0]!.sound.give(sound));
    hook.rerender({ on: studyOfKeys([72, 74]) });
    expect(sound.stop).toHaveBeenCalledTimes(1);
    expect(hook.result.current.playing).toBe(false);
  });
});
