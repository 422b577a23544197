import { act, renderHook, waitFor } from "@testing-library/react";
import { withNuqsTestingAdapter } from "nuqs/adapters/testing";
import { USUAL_WISHES, type FingeringWishes } from "@/core/options/asked/wishes";
import type { Judged, Study } from "@/core/fingering/study/study";
import { later, type Later } from "../../../tests/support/later";
import type { OptionJudged } from "./option-cards";

const judging: { readonly tempo: number; readonly answer: Later<unknown> }[] = [];
const finding: Later<unknown>[] = [];
jest.mock("@/worker/clients", () => ({
  fingeringWorker: () => ({
    atTempo: (tempo: number) => {
      const answer = later<unknown>();
      judging.push({ tempo, answer });
      return answer.promise;
    },
    bestAtTempo: () => {
      const answer = later<unknown>();
      finding.push(answer);
      return answer.promise;
    },
  }),
}));

import { useTempo } from "./use-tempo";

const judged = (name: string): Judged => ({ name }) as unknown as Judged;
const music = (): Study => ({}) as Study;
const options = [{ option: { id: "a", digits: {} }, judged: judged("at the target") }] as unknown as OptionJudged[];

const at = (tempo: number) => {
  const initialProps = { study: music(), wishes: USUAL_WISHES as FingeringWishes };
  return {
    initialProps,
    ...renderHook(({ study, wishes }) => useTempo(study, options, 100, wishes), {
      initialProps,
      wrapper: withNuqsTestingAdapter({ searchParams: { tempo: String(tempo) }, hasMemory: true }),
    }),
  };
};
const answer = (to: Later<unknown>, found: unknown) => act(async () => to.give({ stopped: false, found }));

beforeEach(() => {
  judging.length = 0;
  finding.length = 0;
});

describe("the tempo in hand", () => {
  it("judges the options away from the target, and not on it", async () => {
    const { result } = at(80);
    expect(result.current.all[0]!.judged).toEqual(judged("at the target"));
    await answer(judging[0]!.answer, [judged("at 80")]);
    await waitFor(() => expect(result.current.all[0]!.judged).toEqual(judged("at 80")));
    act(() => result.current.setTempo(100));
    await waitFor(() => expect(result.current.all[0]!.judged).toEqual(judged("at the target")));
    expect(judging).toHaveLength(1);
  });

  it("shows nothing judged on other music, however late it comes", async () => {
    const { result, rerender, initialProps } = at(80);
    await answer(judging[0]!.answer, [judged("at 80")]);
    await waitFor(() => expect(result.current.all[0]!.judged).toEqual(judged("at 80")));
    const study = music();
    rerender({ ...initialProps, study });
    expect(result.current.all[0]!.judged).toEqual(judged("at the target"));
    await answer(judging[1]!.answer, [judged("of other music, at 80")]);
    await waitFor(() => expect(result.current.all[0]!.judged).toEqual(judged("of other music, at 80")));
  });

  it("shows no best that was found for other music or other wishes", async () => {
    const { result, rerender, initialProps } = at(80);
    expect(result.current.best).toBeNull();
    await answer(finding[0]!, judged("best"));
    await waitFor(() => expect(result.current.best).toEqual(judged("best")));
    const study = music();
    rerender({ ...initialProps, study });
    expect(result.current.best).toBeNull();
    rerender({ study, wishes: { ...USUAL_WISHES } });
    await answer(finding[1]!, judged("best by the wishes before"));
    expect(result.current.best).toBeNull();
    await answer(finding[2]!, judged("best now"));
    await waitFor(() => expect(result.current.best).toEqual(judged("best now")));
  });
});
