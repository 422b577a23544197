import type { Answer } from "@/server/types";
import { CHANGES, send, settled, stateOf, worstOf } from "./sending";

const kept = (value: string): Answer<string> => ({ ok: true, value });

beforeEach(() => CHANGES.clear());

describe("sending changes", () => {
  it("goes one after another in one place, and beside one another in two", async () => {
    const order: string[] = [];
    let release: () => void = () => undefined;
    const first = send("one", async () => {
      order.push("first asked");
      await new Promise<void>((resolve) => (release = resolve));
      order.push("first answered");
      return kept("first");
    });
    const second = send("one", () => {
      order.push("second asked");
      return Promise.resolve(kept("second"));
    });
    await send("other", () => {
      order.push("beside");
      return Promise.resolve(kept("beside"));
    });
    expect(stateOf("one")).toBe("keeping");
    expect(order).toEqual(["first asked", "beside"]);
    release();
    expect(await first).toEqual(kept("first"));
    expect(await second).toEqual(kept("second"));
    await settled("one");
    expect(order).toEqual(["first asked", "beside", "first answered", "second asked"]);
    expect(stateOf("one")).toBe("kept");
  });

  it("is tried again only where the connection failed, or the database was away", async () => {
    let tries = 0;
    const states: string[] = [];
    const answer = await send("one", () => {
      states.push(stateOf("one"));
      tries++;
      if (tries === 1) return Promise.reject(new TypeError("Failed to fetch"));
      if (tries === 2) return Promise.resolve<Answer<string>>({ ok: false, message: "Away.", later: true });
      return Promise.resolve(kept("at last"));
    });
    expect(answer).toEqual(kept("at last"));
    expect(tries).toBe(3);
    expect(states).toEqual(["keeping", "waiting", "waiting"]);
  });

  it("answers what throws with a sentence, once, and goes on with what comes behind it", async () => {
    let tries = 0;
    const first = send("one", () => {
      tries++;
      return Promise.reject(new Error("insert violates a foreign key"));
    });
    const second = send("one", () => Promise.resolve(kept("second")));
    expect(await first).toEqual({ ok: false, message: "It was not kept: insert violates a foreign key" });
    expect(tries).toBe(1);
    expect(await second).toEqual(kept("second"));
  });

  it("does not say kept after a refusal, until something is kept again", async () => {
    await send("one", () => Promise.resolve({ ok: false, message: "No." }));
    expect(stateOf("one")).toBe("refused");
    await send("one", () => Promise.resolve(kept("yes")));
    expect(stateOf("one")).toBe("kept");
    expect(worstOf(["kept", "waiting", "refused"])).toBe("waiting");
  });
});
