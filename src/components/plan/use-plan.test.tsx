import { act, renderHook, waitFor } from "@testing-library/react";
import type { Fingering } from "@/core/fingering/study/fingering";
import { NO_PLAN_MARKS } from "@/core/motion/marks/plan-marks";

const waiting: ((tempo: number) => void)[] = [];
jest.mock("@/worker/clients", () => ({
  fingeringWorker: () => ({
    plan: () =>
      new Promise((resolve) => waiting.push((tempo) => resolve({ stopped: false, found: { tempo, hands: [] } }))),
  }),
}));

import { usePlan } from "./use-plan";

const digits = (finger: number): Fingering => ({ "b1-s1-v1-n1": finger }) as unknown as Fingering;

describe("the plan that is shown", () => {
  it("is never another option's, and never of other music", async () => {
    const study = {};
    const { result, rerender } = renderHook(
      ({ option, given, on }: { option: string; given: Fingering; on: unknown }) =>
        usePlan("in view", option, given, 90, NO_PLAN_MARKS, on),
      { initialProps: { option: "a", given: digits(1), on: study as unknown } },
    );
    const answer = (tempo: number) => act(async () => waiting.shift()!(tempo));
    await answer(1);
    await waitFor(() => expect(result.current?.tempo).toBe(1));
    const other = digits(2);
    rerender({ option: "b", given: other, on: study });
    expect(result.current).toBeNull();
    await answer(2);
    await waitFor(() => expect(result.current?.tempo).toBe(2));
    rerender({ option: "b", given: other, on: {} });
    expect(result.current).toBeNull();
  });
});
