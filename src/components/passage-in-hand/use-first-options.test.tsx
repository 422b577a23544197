import { act, renderHook, waitFor } from "@testing-library/react";
import type { OptionData, PassageData } from "@/server/types";
import { later, type Later } from "../../../tests/support/later";

const keepFirstOptions = jest.fn();
jest.mock("@/server/actions", () => ({ keepFirstOptions: (asked: unknown) => keepFirstOptions(asked) as unknown }));
let searched: Later<unknown>;
const stop = jest.fn();
jest.mock("@/worker/clients", () => ({
  fingeringWorker: () => ({ firstOptions: () => searched.promise, stop: (kind: string): void => void stop(kind) }),
}));
jest.mock("comlink", () => ({ proxy: (given: unknown) => given }));
const error = jest.fn();
jest.mock("sonner", () => ({ toast: { error: (said: string): void => void error(said) } }));

import { CHANGES } from "../keeping/sending";
import { useFirstOptions } from "./use-first-options";

const passage = { id: "00000000-0000-4000-8000-000000000001", options: [] } as unknown as PassageData;
const FOUND = [{ name: "A", fingering: { n: 1 } }];
const KEPT = [{ id: "a" }] as unknown as OptionData[];
const onKept = jest.fn();
const show = () => renderHook(() => useFirstOptions(passage, onKept));

beforeEach(() => {
  jest.resetAllMocks();
  CHANGES.clear();
  searched = later();
});

describe("the first options of a passage", () => {
  it("stand on the page once they are kept", async () => {
    const kept = later<unknown>();
    keepFirstOptions.mockReturnValue(kept.promise);
    const { result } = show();
    await act(async () => searched.give({ stopped: false, found: FOUND }));
    expect(keepFirstOptions).toHaveBeenCalledWith(
      expect.objectContaining({ passageId: passage.id, options: [{ name: "A", digits: { n: 1 } }] }),
    );
    expect(onKept).not.toHaveBeenCalled();
    await act(async () => kept.give({ ok: true, value: KEPT }));
    await waitFor(() => expect(result.current.working).toEqual({ state: "idle" }));
    expect(onKept).toHaveBeenCalledWith(KEPT);
  });

  it("wait for a connection, and are kept when there is one again", async () => {
    keepFirstOptions
      .mockRejectedValueOnce(new TypeError("Failed to fetch"))
      .mockResolvedValue({ ok: true, value: KEPT });
    const { result } = show();
    await act(async () => searched.give({ stopped: false, found: FOUND }));
    await waitFor(() => expect(onKept).toHaveBeenCalledWith(KEPT));
    await waitFor(() => expect(result.current.working).toEqual({ state: "idle" }));
    expect(error).not.toHaveBeenCalled();
  });

  it("can be stopped, and begun again", async () => {
    const { result } = show();
    act(() => result.current.stop());
    expect(stop).toHaveBeenCalledWith("first options");
    await act(async () => searched.give({ stopped: true }));
    expect(result.current.working).toEqual({ state: "stopped" });
    searched = later();
    keepFirstOptions.mockResolvedValue({ ok: true, value: KEPT });
    act(() => result.current.begin());
    expect(result.current.working).toEqual({ state: "working", share: 0 });
    await act(async () => searched.give({ stopped: false, found: FOUND }));
    await waitFor(() => expect(result.current.working).toEqual({ state: "idle" }));
  });

  it("say in a sentence that the computing broke off, or that they are refused", async () => {
    const { result } = show();
    await act(async () => searched.fail(new Error("a worker died")));
    expect(result.current.working).toEqual({ state: "failed", message: "The computing broke off." });
    searched = later();
    keepFirstOptions.mockResolvedValue({ ok: false, message: "This passage is gone." });
    act(() => result.current.begin());
    await act(async () => searched.give({ stopped: false, found: FOUND }));
    await waitFor(() => expect(result.current.working).toEqual({ state: "failed", message: "This passage is gone." }));
    expect(error).toHaveBeenCalledWith("This passage is gone.");
    expect(onKept).not.toHaveBeenCalled();
  });
});
