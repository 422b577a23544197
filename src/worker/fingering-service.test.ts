import { USUAL_WISHES } from "@/core/options/asked/wishes";
import { passageOfKeys } from "@/core/passage/of-keys";
import type { Pins } from "@/core/fingering/study/fingering";
import type { Fingering } from "@/core/fingering/study/fingering";
import { judge } from "@/core/fingering/study/study";
import { studyOf, type StudyData } from "@/core/fingering/study/study-data";
import { fingeringService } from "./fingering-service";

const short: StudyData = {
  passage: passageOfKeys([60, 62, 64], "1/4", "right"),
  hands: { right: { measured: { rulerSpan: 200 }, resting: [] }, left: { measured: { rulerSpan: 200 }, resting: [] } },
  octaveWidth: 164.5,
  manner: { tempo: 90, touch: "legato", pedal: false },
};
const long: StudyData = {
  ...short,
  passage: passageOfKeys(
    Array.from({ length: 400 }, (_, i) => 60 + ((i * 5) % 13)),
    "1/4",
    "right",
  ),
};

/** A service whose every onset takes longer than a stretch, so that it breathes after each. */
function slowService() {
  let time = 0;
  return fingeringService(
    () => new Promise((resolve) => setImmediate(resolve)),
    () => (time += 10),
  );
}

const NOTHING = { leaning: "balanced", wishes: USUAL_WISHES, pins: {}, ruledOut: {} } as const;

describe("the fingering service", () => {
  it("answers with the options a passage opens with, and tells its progress", async () => {
    const shares: number[] = [];
    const service = slowService();
    service.open(short);
    const answer = await service.firstOptions(({ done, of }) => void shares.push(done / of));
    expect(answer.stopped).toBe(false);
    expect(shares.at(-1)).toBe(1);
  });

  it("really stops an older search of a kind when a newer one is asked for, and leaves pins alone", async () => {
    const service = slowService();
    const seen: number[] = [];
    service.open(long);
    const older = service.firstOptions(({ done }) => void seen.push(done));
    const pin = service.around({ ...NOTHING, pins: { "b1-s1-v1-n1": 2 } as unknown as Pins });
    const newer = service.firstOptions(() => undefined);
    expect(await older).toEqual({ stopped: true });
    expect(await pin).toMatchObject({ stopped: false, found: { "b1-s1-v1-n1": 2 } });
    service.stop("first options");
    expect(await newer).toEqual({ stopped: true });
    expect(seen.length).toBeLessThan(10);
  });

  it("answers about pins in the order in which it was asked, however long each takes", async () => {
    for (const notes of [3, 24, 60]) {
      const service = slowService();
      service.open({ ...long, passage: { ...long.passage, notes: long.passage.notes.slice(0, notes) } });
      const order: number[] = [];
      const pins = [2, 3, 4].map((finger) => ({ "b1-s1-v1-n1": finger }) as unknown as Pins);
      const answers = await Promise.all(
        pins.map((asked, i) => service.around({ ...NOTHING, pins: asked }).finally(() => order.push(i))),
      );
      expect(order).toEqual([0, 1, 2]);
      expect(answers.map((a) => (a.stopped ? null : Object.values(a.found)[0]))).toEqual([2, 3, 4]);
    }
  });

  it("stops sharing out at any moment, within a moment of the music too", async () => {
    const service = slowService();
    service.open(long);
    let told = 0;
    const sharing = service.share({ allowed: "all", crossing: true }, () => {
      if (++told === 3) service.stop("sharing");
    });
    expect(await sharing).toEqual({ stopped: true });
    expect(told).toBeLessThan(6);
  });

  it("stops when told to", async () => {
    const service = slowService();
    service.open(long);
    const answer = service.firstOptions(() => undefined);
    service.stop("first options");
    expect(await answer).toEqual({ stopped: true });
  });

  it("stops when another study is opened, and then answers about that one", async () => {
    const service = slowService();
    service.open(long);
    const answer = service.firstOptions(() => undefined);
    service.open(short);
    expect(await answer).toEqual({ stopped: true });
    const around = await service.around(NOTHING);
    expect(around.stopped ? [] : Object.keys(around.found)).toHaveLength(3);
  });

  it("is told apart from a service without a study", async () => {
    await expect(slowService().around(NOTHING)).rejects.toThrow("No study");
  });

  it("leans, keeps what is ruled out, finds figures with the price of tying them, and shares hands out", async () => {
    const service = slowService();
    service.open(long);
    const first = await service.around(NOTHING);
    if (first.stopped) throw new Error("stopped");
    const note = Object.keys(first.found)[3] as never;
    const out = await service.around({ ...NOTHING, ruledOut: { [note]: [first.found[note]!] } });
    expect(out.stopped || out.found[note]).not.toBe(first.found[note]);
    expect(Array.isArray(await service.figures())).toBe(true);
    expect((await service.tyingPrice("all")).by).toBeGreaterThanOrEqual(-1e-9);
    const shared = await service.share({ allowed: "none" }, () => undefined);
    expect(shared).toMatchObject({ stopped: false, found: { taken: {} } });
    // Notes taken before are no reason to leave them so: sharing out begins from the hands as written.
    service.open({ ...short, passage: { ...short.passage, taken: { "b1-s1-v1-n1": "left" } as never } });
    const again = await service.share({ allowed: "none" }, () => undefined);
    expect(again).toMatchObject({ found: { taken: {}, brackets: [] } });
  });

  it("judges at another tempo, and of many tempi asked for at once works out only the last", async () => {
    const service = slowService();
    service.open(short);
    const digits = { "b1-s1-v1-n1": 1, "b1-s1-v1-n2": 2, "b1-s1-v1-n3": 3 } as Fingering;
    const [first, second, last] = await Promise.all([60, 90, 240].map((tempo) => service.atTempo(tempo, [digits])));
    expect([first, second]).toEqual([{ stopped: true }, { stopped: true }]);
    const study = studyOf(short);
    const at = { ...study, manner: { ...study.manner, tempo: 240 } };
    expect(last).toEqual({ stopped: false, found: [judge(at, digits)] });
    const best = await service.bestAtTempo(240, USUAL_WISHES);
    if (best.stopped) throw new Error("stopped");
    expect(best.found.strain).toBeLessThanOrEqual(judge(at, digits).strain);
  });

  it("tells what would lower a place without stopping a search", async () => {
    const service = slowService();
    const { notes } = long.passage;
    service.open({ ...long, passage: { ...long.passage, notes: notes.slice(0, 24) } });
    const searching = service.around(NOTHING);
    const digits = Object.fromEntries(notes.slice(0, 24).map((n) => [n.id, 1])) as Fingering;
    const found = await service.lowering(NOTHING, digits, notes[3]!.id);
    if (found.stopped) throw new Error("stopped");
    expect(found.found.every(({ here }) => here < 0)).toBe(true);
    expect(await searching).toMatchObject({ stopped: false });
  });
});
