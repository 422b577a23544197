const transport = { PPQ: 192, loop: true, stop: jest.fn(), cancel: jest.fn() };
transport.stop.mockImplementation(() => transport);
/** As the library has it: who sets how far is looked ahead sets how often as well. */
const context = {
  far: 0,
  updateInterval: 0,
  get lookAhead() {
    return this.far;
  },
  set lookAhead(far: number) {
    this.far = far;
    this.updateInterval = far / 2;
  },
};
jest.mock("tone", () => ({
  start: () => Promise.resolve(),
  getContext: () => context,
  getTransport: () => transport,
}));

import { openStage } from "./stage";

const wanted = (): boolean => true;
const nobody = (): void => undefined;

beforeEach(() => transport.stop.mockClear());

describe("the loudspeaker", () => {
  it("counts places in quarter notes to the nearest of its ticks", async () => {
    const stage = (await openStage(wanted, nobody))!;
    expect([0, 1, 1 / 3, 2.5].map(stage.ticks)).toEqual(["0i", "192i", "64i", "480i"]);
  });

  it("is nobody's where it is wanted no more when it is ready", async () => {
    const left = jest.fn();
    await openStage(wanted, left);
    expect(await openStage(() => false, nobody)).toBeNull();
    expect(left).not.toHaveBeenCalled();
  });

  it("is one's at a time: who has it is told when another takes it, and does not silence that one", async () => {
    const [first, second] = [jest.fn(), jest.fn()];
    const one = (await openStage(wanted, first))!;
    const other = (await openStage(wanted, second))!;
    expect(first).toHaveBeenCalledTimes(1);
    expect(second).not.toHaveBeenCalled();
    transport.stop.mockClear();
    one.leave();
    expect(transport.stop).not.toHaveBeenCalled();
    other.leave();
    expect(transport.stop).toHaveBeenCalledTimes(1);
  });

  it("asks for sounds farther ahead where they must not stumble, and looks as often, until the next one begins", async () => {
    const stage = (await openStage(wanted, nobody))!;
    const { lookAhead, updateInterval } = context;
    stage.steady();
    expect(context.lookAhead).toBeGreaterThan(lookAhead);
    // However long the page is busy between two looks, up to nearly all of what is asked for ahead, nothing is late.
    expect(context.updateInterval).toBe(updateInterval);
    await openStage(wanted, nobody);
    expect(context.lookAhead).toBe(lookAhead);
  });
});
