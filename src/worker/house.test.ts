import type { Remote } from "comlink";
import { houseOf, type WorkerLike } from "./house";

interface Echo {
  say(words: string): Promise<string>;
}

/** Workers that answer when told to, and die when told to. */
function street() {
  const workers: (WorkerLike & { ended: boolean })[] = [];
  const asked: { readonly worker: number; readonly words: string; answer(): void }[] = [];
  const start = () => {
    const number = workers.length;
    const worker = { onerror: null, onmessageerror: null, ended: false, terminate: () => void (worker.ended = true) };
    workers.push(worker);
    const remote = {
      say: (words: string) =>
        new Promise<string>((resolve) =>
          asked.push({ worker: number, words, answer: () => resolve(`${number}: ${words}`) }),
        ),
    };
    return { worker: worker as WorkerLike, remote: remote as unknown as Remote<Echo> };
  };
  const die = (number: number): void => void workers[number]!.onerror?.({} as ErrorEvent);
  return { workers, asked, start, die };
}

const settle = async (): Promise<void> => {
  for (let turn = 0; turn < 10; turn++) await Promise.resolve();
};

describe("a worker's house", () => {
  it("starts one worker when it is first asked for, and keeps it", async () => {
    const { workers, asked, start } = street();
    const { service } = houseOf<Echo>(start, () => Promise.resolve(), jest.fn());
    expect(workers).toHaveLength(0);
    const answers = [service.say("one"), service.say("two")];
    await settle();
    asked.forEach(({ answer }) => answer());
    expect(await Promise.all(answers)).toEqual(["0: one", "0: two"]);
    expect(workers).toHaveLength(1);
  });

  it("starts another when it dies, says so, brings it to where the first was, and asks it again what was open", async () => {
    const { workers, asked, start, die } = street();
    const begun = jest.fn(() => Promise.resolve());
    const onDeath = jest.fn();
    const { service } = houseOf<Echo>(start, begun, onDeath);
    const answer = service.say("hello");
    await settle();
    die(0);
    await settle();
    expect(workers.map((w) => w.ended)).toEqual([true, false]);
    expect(onDeath).toHaveBeenCalledTimes(1);
    expect(begun).toHaveBeenCalledTimes(1);
    asked[1]!.answer();
    expect(await answer).toBe("1: hello");
  });

  it("does not ask for ever what every worker dies of, and goes on with what comes after", async () => {
    const { asked, start, die } = street();
    const { service } = houseOf<Echo>(start, () => Promise.resolve(), jest.fn());
    const answer = service.say("deadly").catch((error: Error) => error.message);
    await settle();
    die(0);
    await settle();
    die(1);
    expect(await answer).toBe("The computing broke off.");
    const next = service.say("harmless");
    await settle();
    asked.at(-1)!.answer();
    expect(await next).toBe("2: harmless");
  });
});
