import { act, renderHook, waitFor } from "@testing-library/react";
import { USUAL_WISHES } from "@/core/options/asked/wishes";
import type { Study } from "@/core/fingering/study/study";
import type { NoteId } from "@/core/passage/note";
import type { OptionData } from "@/server/types";
import { later, type Later } from "../../../tests/support/later";

const asked: { readonly note: NoteId; readonly answer: Later<unknown> }[] = [];
jest.mock("@/worker/clients", () => ({
  fingeringWorker: () => ({
    lowering: (_: unknown, __: unknown, note: NoteId) => {
      const answer = later<unknown>();
      asked.push({ note, answer });
      return answer.promise;
    },
  }),
}));

import { useLowering } from "./use-lowering";

const N1 = "b1-s1-v1-n1" as NoteId;
const N2 = "b1-s1-v1-n2" as NoteId;
const option = { id: "a", leaning: "balanced", pins: {}, ruledOut: {}, digits: {} } as unknown as OptionData;
const lowering = (gain: string) => [{ note: N1, finger: 2, here: -1, elsewhere: 0, gain, changes: 1 }];
const answer = (i: number, gain: string) =>
  act(async () => asked[i]!.answer.give({ stopped: false, found: lowering(gain) }));

beforeEach(() => {
  asked.length = 0;
});

describe("what would lower the strain at the note in hand", () => {
  const show = () => {
    const initialProps = { study: {} as Study, option, note: N1 as NoteId | null };
    return {
      initialProps,
      ...renderHook(({ study, option, note }) => useLowering(study, option, USUAL_WISHES, note), { initialProps }),
    };
  };

  it("is asked once a note has been in hand for a moment", async () => {
    const { result, rerender, initialProps } = show();
    rerender({ ...initialProps, note: N2 });
    await waitFor(() => expect(asked).toHaveLength(1));
    expect(asked[0]!.note).toBe(N2);
    await answer(0, "the thumb stays on white");
    expect(result.current).toEqual(lowering("the thumb stays on white"));
  });

  it("is never what was found for another note, another option's digits or other music", async () => {
    const { result, rerender, initialProps } = show();
    await waitFor(() => expect(asked).toHaveLength(1));
    await answer(0, "on the first");
    expect(result.current).toEqual(lowering("on the first"));
    rerender({ ...initialProps, note: N2 });
    expect(result.current).toBeNull();
    rerender({ ...initialProps, option: { ...option, digits: {} } });
    expect(result.current).toBeNull();
    rerender({ ...initialProps, study: {} as Study });
    expect(result.current).toBeNull();
  });

  it("is not an answer that comes after the music has changed", async () => {
    const { result, rerender, initialProps } = show();
    await waitFor(() => expect(asked).toHaveLength(1));
    const study = {} as Study;
    rerender({ ...initialProps, study });
    await answer(0, "on the music before");
    expect(result.current).toBeNull();
    await waitFor(() => expect(asked).toHaveLength(2));
    await answer(1, "on the music now");
    expect(result.current).toEqual(lowering("on the music now"));
  });
});
