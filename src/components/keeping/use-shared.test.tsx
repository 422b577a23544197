import { act, renderHook, waitFor } from "@testing-library/react";
import { useState } from "react";
import { mergedRecord } from "@/core/merge";
import type { Answer, WholeKept } from "@/server/types";
import { CHANGES } from "./sending";
import { useShared, type WholeChange } from "./use-shared";

jest.mock("sonner", () => ({ toast: { error: jest.fn() } }));

type Record = Readonly<{ [name: string]: number }>;

/** A server that holds one value, answers only when told to, and may be out of reach. */
function serverWith(value: Record) {
  const waiting: (() => void)[] = [];
  const server = {
    value,
    reached: true,
    refusal: null as string | null,
    asked: [] as WholeChange<Record>[],
    keep: (change: WholeChange<Record>) =>
      new Promise<Answer<WholeKept<Record>>>((resolve, reject) => {
        server.asked.push(change);
        waiting.push(() => {
          if (!server.reached) return reject(new TypeError("Failed to fetch"));
          if (server.refusal) {
            const message = server.refusal;
            server.refusal = null;
            return resolve({ ok: false, message });
          }
          server.value = mergedRecord(change.before, change.after, server.value);
          resolve({ ok: true, value: { is: server.value, options: [] } });
        });
      }),
    /** Answers what it was asked first; a page may be on the way to asking. */
    answer: () =>
      act(async () => {
        for (let turn = 0; turn < 20 && waiting.length === 0; turn++) await Promise.resolve();
        waiting.shift()?.();
      }),
  };
  return server;
}

const onOptions = () => undefined;

function opened(server: ReturnType<typeof serverWith>, given: Record = server.value) {
  return renderHook(
    ({ now }: { now: Record }) => {
      const [value, show] = useState(now);
      const { keep } = server;
      const asked = {
        passageId: "one",
        what: "a value",
        given: now,
        show,
        merge: mergedRecord<number>,
        keep,
        onOptions,
      };
      return { value, ...useShared<Record>(asked) };
    },
    { initialProps: { now: given } },
  );
}

beforeEach(() => {
  localStorage.clear();
  CHANGES.clear();
});

describe("a value that several windows may change", () => {
  it("is shown at once, and what another window made of it comes with the answer", async () => {
    const server = serverWith({ a: 1 });
    const { result } = opened(server);
    server.value = { a: 1, theirs: 5 };
    act(() => void result.current.set({ a: 2 }));
    expect(result.current.value).toEqual({ a: 2 });
    expect(result.current.keeping).toBe("keeping");
    await server.answer();
    expect(result.current.value).toEqual({ a: 2, theirs: 5 });
    expect(server.value).toEqual({ a: 2, theirs: 5 });
    await waitFor(() => expect(result.current.keeping).toBe("kept"));
  });

  it("does not bring back what was added and taken away before the first answer", async () => {
    const server = serverWith({});
    const { result } = opened(server);
    act(() => void result.current.set({ added: 1 }));
    act(() => void result.current.set({}));
    await server.answer();
    await server.answer();
    expect(server.value).toEqual({});
    expect(result.current.value).toEqual({});
  });

  it("is sent again when the page was closed on the way, on what it was made of", async () => {
    const server = serverWith({ a: 1, b: 1 });
    const first = opened(server);
    act(() => void first.result.current.set({ a: 2, b: 1 }));
    await waitFor(() => expect(server.asked).toHaveLength(1));
    first.unmount();
    // The window is closed: what it had on its way goes with it.
    CHANGES.clear();
    server.value = { a: 1, b: 9 };
    const again = opened(server, { a: 1, b: 9 });
    await waitFor(() => expect(server.asked).toHaveLength(2));
    expect(server.asked[1]).toMatchObject({ before: { a: 1, b: 1 }, after: { a: 2, b: 1 } });
    await server.answer();
    await server.answer();
    expect(again.result.current.value).toEqual({ a: 2, b: 9 });
    expect(localStorage.length).toBe(0);
  });

  it("takes one change back and leaves what came after it", async () => {
    const server = serverWith({ a: 1 });
    const { result } = opened(server);
    const change = { before: { a: 1 }, after: { a: 2 } };
    act(() => void result.current.set(change.after));
    act(() => void result.current.set({ ...change.after, later: 3 }));
    act(() => void result.current.takeBack(change));
    expect(result.current.value).toEqual({ a: 1, later: 3 });
    await server.answer();
    await server.answer();
    expect(server.value).toEqual({ a: 1, later: 3 });
  });

  it("follows a page made new, but not over what is still on its way", async () => {
    const server = serverWith({ a: 1 });
    const { result, rerender } = opened(server);
    rerender({ now: { a: 7 } });
    await waitFor(() => expect(result.current.value).toEqual({ a: 7 }));
    act(() => void result.current.set({ a: 8 }));
    rerender({ now: { a: 9 } });
    await act(async () => undefined);
    expect(result.current.value).toEqual({ a: 8 });
  });

  it("waits for a server out of reach and then sends the newest", async () => {
    const server = serverWith({ a: 1 });
    const { result } = opened(server);
    server.reached = false;
    act(() => void result.current.set({ a: 2 }));
    await server.answer();
    await waitFor(() => expect(result.current.keeping).toBe("waiting"));
    act(() => void result.current.set({ a: 3 }));
    server.reached = true;
    await waitFor(() => expect(server.asked).toHaveLength(2));
    // The same request once more, and then what came after it.
    expect(server.asked[1]).toEqual(server.asked[0]);
    await server.answer();
    await server.answer();
    expect(server.value).toEqual({ a: 3 });
    await waitFor(() => expect(result.current.keeping).toBe("kept"));
  });

  it("takes back what is refused, keeps what was made after it, and lets later changes through", async () => {
    const server = serverWith({ a: 1 });
    const { result } = opened(server);
    server.refusal = "That cannot be.";
    act(() => void result.current.set({ a: 2 }));
    await waitFor(() => expect(server.asked).toHaveLength(1));
    act(() => void result.current.set({ a: 2, later: 3 }));
    await server.answer();
    expect(result.current.value).toEqual({ a: 1, later: 3 });
    await server.answer();
    expect(server.value).toEqual({ a: 1, later: 3 });
    await waitFor(() => expect(result.current.keeping).toBe("kept"));
    expect(localStorage.length).toBe(0);
  });

  it("says that a refused change is not kept", async () => {
    const server = serverWith({ a: 1 });
    const { result } = opened(server);
    server.refusal = "That cannot be.";
    act(() => void result.current.set({ a: 2 }));
    await server.answer();
    await waitFor(() => expect(result.current.keeping).toBe("refused"));
    expect(result.current.value).toEqual({ a: 1 });
  });

  it("of two windows keeps what each has on its way", async () => {
    const server = serverWith({ a: 1 });
    const [one, other] = [opened(server), opened(server)];
    act(() => void one.result.current.set({ a: 1, one: 1 }));
    act(() => void other.result.current.set({ a: 1, other: 2 }));
    one.unmount();
    other.unmount();
    CHANGES.clear();
    server.asked.length = 0;
    const again = opened(server);
    await waitFor(() => expect(again.result.current.value).toEqual({ a: 1, one: 1, other: 2 }));
    expect(localStorage.length).toBe(1);
  });
});
