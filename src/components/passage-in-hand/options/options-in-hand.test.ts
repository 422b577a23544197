import type { Fingering, Pins } from "@/core/fingering/study/fingering";
import type { NoteId } from "@/core/passage/note";
import type { Answer, OptionKept, OptionData, Walked } from "@/server/types";
import type { Pending } from "../../keeping/pending";
import type { OptionChange } from "./change";
import { optionsInHand } from "./options-in-hand";
import type { OptionsWorld } from "./options-world";

const N1 = "b1-s1-v1-n1" as NoteId;
const N2 = "b1-s1-v1-n2" as NoteId;
const digits = (a: number, b: number): Fingering => ({ [N1]: a, [N2]: b }) as Fingering;
const option: OptionData = {
  id: "one",
  name: "A",
  title: null,
  origin: "solved",
  leaning: "balanced",
  author: null,
  version: 1,
  digits: digits(1, 2),
  pins: {},
  ruledOut: {},
  first: digits(1, 2),
  undoable: 0,
  redoable: 0,
};

function pendingHere(): Pending<OptionChange> {
  let all: readonly OptionChange[] = [];
  return {
    all: () => all,
    put(item) {
      all = all.some(({ id }) => id === item.id) ? all.map((o) => (o.id === item.id ? item : o)) : [...all, item];
      return true;
    },
    remove: (id) => void (all = all.filter((item) => item.id !== id)),
  };
}

/** A world whose server keeps versions, and whose worker answers when told to. */
function world() {
  let ids = 0;
  let queue: Promise<unknown> = Promise.resolve();
  const searches: ((found: Fingering | null) => void)[] = [];
  const server = { now: option, asked: [] as { id: string; pins: Pins; digits: Fingering; onVersion: number }[] };
  const made = {
    pending: pendingHere(),
    searches,
    server,
    refusals: [] as string[],
    refuse: null as string | null,
    around: () => new Promise<Fingering | null>((resolve) => searches.push(resolve)),
    send<T>(call: () => Promise<Answer<T>>) {
      const answer = queue.then(call);
      queue = answer.catch(() => undefined);
      return answer;
    },
    change({
      id,
      pins,
      digits: given,
      ruledOut,
      onVersion,
    }: Parameters<OptionsWorld["change"]>[0]): Promise<Answer<OptionKept>> {
      server.asked.push({ id, pins, digits: given, onVersion });
      if (made.refuse) {
        const message = made.refuse;
        made.refuse = null;
        return Promise.resolve({ ok: false, message });
      }
      if (onVersion !== server.now.version)
        return Promise.resolve({ ok: true, value: { outcome: "outdated", now: server.now } });
      server.now = { ...server.now, version: onVersion + 1, pins, digits: given, ruledOut };
      return Promise.resolve({ ok: true, value: { outcome: "kept", now: server.now } });
    },
    walk: (): Promise<Answer<Walked>> =>
      Promise.resolve({ ok: true, value: { outcome: "kept", now: server.now, options: null } }),
    refused: (message: string) => void made.refusals.push(message),
    overtaken: () => undefined,
    newId: () => `id ${++ids}`,
    later: () => () => undefined,
  };
  return made;
}

const settle = async (): Promise<void> => {
  for (let turn = 0; turn < 30; turn++) await Promise.resolve();
};

describe("the options in hand", () => {
  it("send gestures in the order in which they were made, however the searches come back", async () => {
    const around = world();
    const inHand = optionsInHand([option], around);
    inHand.pin("one", N1, 3);
    inHand.pin("one", N2, 5);
    await settle();
    expect(around.server.asked).toEqual([]);
    // The answer about the second gesture overtakes the one about the first.
    around.searches[1]!(digits(3, 5));
    await settle();
    around.searches[0]!(digits(3, 4));
    await settle();
    expect(around.server.asked.map(({ pins }) => pins)).toEqual([{ [N1]: 3 }, { [N1]: 3, [N2]: 5 }]);
    expect(around.server.now).toMatchObject({ pins: { [N1]: 3, [N2]: 5 }, digits: digits(3, 5), version: 3 });
    const [shown] = inHand.shown().options;
    expect(shown).toMatchObject({ pins: around.server.now.pins, digits: around.server.now.digits, version: 3 });
    expect(around.pending.all()).toEqual([]);
  });

  it("keep a pin alone where no digits can be worked out around it", async () => {
    const around = world();
    const inHand = optionsInHand([option], around);
    inHand.pin("one", N1, 3);
    around.searches[0]!(null);
    await settle();
    expect(around.server.now).toMatchObject({ pins: { [N1]: 3 }, digits: digits(3, 2) });
  });

  it("take a refused change back, and out of what was made on it", async () => {
    const around = world();
    const inHand = optionsInHand([option], around);
    around.refuse = "That cannot be.";
    inHand.pin("one", N1, 3);
    inHand.pin("one", N2, 5);
    around.searches[0]!(digits(3, 4));
    await settle();
    around.searches[1]!(digits(3, 5));
    await settle();
    // Worked out anew without what was refused.
    around.searches[2]!(digits(1, 5));
    await settle();
    expect(around.refusals).toEqual(["That cannot be."]);
    expect(around.server.now).toMatchObject({ pins: { [N2]: 5 }, digits: digits(1, 5) });
    expect(inHand.shown().options[0]).toMatchObject({ pins: { [N2]: 5 } });
    inHand.pin("one", N1, 2);
    around.searches[3]!(digits(2, 5));
    await settle();
    expect(around.server.now.pins).toEqual({ [N1]: 2, [N2]: 5 });
  });

  it("discard for good what waited behind a conflict that is answered with theirs", async () => {
    const around = world();
    const theirs = { ...option, version: 7, digits: digits(2, 5) };
    around.server.now = theirs;
    const inHand = optionsInHand([option], around);
    inHand.pin("one", N1, 3);
    inHand.pin("one", N2, 4);
    around.searches[0]!(digits(3, 4));
    around.searches[1]!(digits(3, 4));
    await settle();
    expect(inHand.shown().outdated).toMatchObject({ theirs: { version: 7 }, mine: { pins: { [N1]: 3, [N2]: 4 } } });
    inHand.keepTheirs();
    expect(around.pending.all()).toEqual([]);
    inHand.setOptions([theirs]);
    expect(inHand.shown().options[0]).toMatchObject({ pins: {}, digits: digits(2, 5), version: 7 });
    inHand.pin("one", N1, 1);
    around.searches[2]!(digits(1, 5));
    await settle();
    expect(around.server.now).toMatchObject({ version: 8, pins: { [N1]: 1 } });
  });

  it("go on from mine with all that waited behind the conflict", async () => {
    const around = world();
    around.server.now = { ...option, version: 7 };
    const inHand = optionsInHand([option], around);
    inHand.pin("one", N1, 3);
    inHand.pin("one", N2, 4);
    around.searches.forEach((answer) => answer(digits(3, 4)));
    await settle();
    inHand.keepMine();
    await settle();
    expect(around.server.now).toMatchObject({ version: 8, pins: { [N1]: 3, [N2]: 4 } });
    expect(around.pending.all()).toEqual([]);
  });

  it("are not put back by an answer that was overtaken", () => {
    const around = world();
    const inHand = optionsInHand([{ ...option, version: 5, digits: digits(4, 5) }], around);
    inHand.setOptions([option]);
    expect(inHand.shown().options[0]).toMatchObject({ version: 5, digits: digits(4, 5) });
  });
});
