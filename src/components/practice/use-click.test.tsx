import { act, renderHook } from "@testing-library/react";
import type { ClickBar } from "@/core/practice/click";
import { later, type Later } from "../../../tests/support/later";

interface Begun {
  readonly next: () => ClickBar;
  readonly isWanted: () => boolean;
  readonly onLeft: () => void;
  readonly sounding: Later<{ setTempo: jest.Mock; stop: jest.Mock } | null>;
}

const begun: Begun[] = [];
jest.mock("../playing/click-sound", () => ({
  startClick: (next: Begun["next"], _: unknown, isWanted: Begun["isWanted"], onLeft: Begun["onLeft"]) => {
    const sounding: Begun["sounding"] = later();
    begun.push({ next, isWanted, onLeft, sounding });
    return sounding.promise;
  },
}));

const error = jest.fn();
jest.mock("sonner", () => ({ toast: { error: (said: string): void => void error(said) } }));

import { useClick } from "./use-click";

async function running(tempo: number) {
  const sounding = { setTempo: jest.fn(), stop: jest.fn() };
  const { result, rerender, unmount } = renderHook(({ at }) => useClick(at), { initialProps: { at: tempo } });
  act(() => result.current.toggle());
  await act(async () => {
    begun[0]!.sounding.give(sounding);
    await begun[0]!.sounding.promise;
  });
  return { click: result, sounding, unmount, turnTo: (at: number) => rerender({ at }), next: begun[0]!.next };
}

beforeEach(() => {
  begun.length = 0;
  error.mockClear();
});

describe("the click in hand", () => {
  it("counts one bar in, and is silent after each bar that is heard for as long as asked", async () => {
    const { click, next } = await running(90);
    act(() => click.current.silence(2));
    expect(Array.from({ length: 7 }, () => next().clicks.length)).toEqual([4, 4, 0, 0, 4, 0, 0]);
  });

  it("goes on through every change, which is heard from the next bar on", async () => {
    const { click, sounding, turnTo, next } = await running(200);
    expect(next()).toMatchObject({ length: 4 });
    act(() => click.current.divide(3));
    expect(next().clicks).toHaveLength(12);
    turnTo(220);
    expect(sounding.setTempo).toHaveBeenLastCalledWith(220);
    // Two quarters to a click from here: the bar is as many clicks, and twice as long.
    expect(next()).toMatchObject({ length: 8 });
    expect(begun).toHaveLength(1);
    expect(sounding.stop).not.toHaveBeenCalled();
  });

  it("stops, and what comes too late is not heard", async () => {
    const { click, sounding } = await running(90);
    act(() => click.current.toggle());
    expect(sounding.stop).toHaveBeenCalledTimes(1);
    act(() => click.current.toggle());
    act(() => click.current.toggle());
    expect(begun[1]!.isWanted()).toBe(false);
    const late = { setTempo: jest.fn(), stop: jest.fn() };
    await act(async () => {
      begun[1]!.sounding.give(late);
      await begun[1]!.sounding.promise;
    });
    expect(late.stop).toHaveBeenCalledTimes(1);
  });

  it("is off where something else is heard", async () => {
    const { click, sounding } = await running(90);
    act(() => begun[0]!.onLeft());
    expect(click.current.isOn).toBe(false);
    expect(sounding.stop).toHaveBeenCalledTimes(1);
  });

  it("is off again where it cannot be heard, and says why", async () => {
    const { result } = renderHook(() => useClick(90));
    act(() => result.current.toggle());
    await act(async () => {
      begun[0]!.sounding.fail(new Error("No loudspeaker."));
      await begun[0]!.sounding.promise.catch(() => undefined);
    });
    expect(error).toHaveBeenLastCalledWith("The click cannot be heard: No loudspeaker.");
    expect(result.current.isOn).toBe(false);
  });

  it("ends with the page", async () => {
    const { sounding, unmount } = await running(90);
    unmount();
    expect(sounding.stop).toHaveBeenCalledTimes(1);
  });
});
