import { outbox, type Keeping } from "./outbox";

describe("the outbox", () => {
  it("sends changes one after another and says when all is kept", async () => {
    const states: Keeping[] = [];
    const order: string[] = [];
    const box = outbox(
      (s) => states.push(s),
      async () => undefined,
    );
    const change = (name: string) => async () => {
      order.push(`${name} sent`);
      await Promise.resolve();
      order.push(`${name} answered`);
    };
    box.send(change("one"));
    box.send(change("two"));
    await box.settled();
    expect(order).toEqual(["one sent", "one answered", "two sent", "two answered"]);
    expect(states).toEqual(["keeping", "keeping", "keeping", "kept"]);
  });

  it("tries again until the server answers, waiting longer each time, and loses nothing", async () => {
    const states: Keeping[] = [];
    const waits: number[] = [];
    const box = outbox(
      (s) => states.push(s),
      async (ms) => void waits.push(ms),
    );
    let attempts = 0;
    box.send(async () => {
      if (++attempts < 6) throw new Error("no answer");
    });
    await box.settled();
    expect(attempts).toBe(6);
    expect(waits).toEqual([400, 800, 1600, 3000, 3000]);
    expect(states.at(-2)).toBe("waiting");
    expect(states.at(-1)).toBe("kept");
  });
});
