import { passageOfKeys } from "@/core/passage/of-keys";
import type { StudyData } from "@/core/fingering/study-data";
import type { Pins } from "@/core/fingering/fingering";
import { fingeringService } from "./fingering-service";

const short: StudyData = { passage: passageOfKeys([60, 62, 64], "1/4", "right"), spans: { right: 200, left: 200 }, octaveWidth: 164.5, manner: { tempo: 90, touch: "legato", pedal: false } };
const long: StudyData = { ...short, passage: passageOfKeys(Array.from({ length: 400 }, (_, i) => 60 + ((i * 5) % 13)), "1/4", "right") };

/** A service whose every onset takes longer than a stretch, so that it breathes after each. */
function slowService() {
  let time = 0;
  return fingeringService(() => new Promise((resolve) => setImmediate(resolve)), () => (time += 10));
}

describe("the fingering service", () => {
  it("answers with the options a passage opens with, and tells its progress", async () => {
    const shares: number[] = [];
    const answer = await slowService().firstOptions(short, ({ done, of }) => void shares.push(done / of));
    expect(answer.stopped).toBe(false);
    expect(shares.at(-1)).toBe(1);
  });

  it("really stops an older search when a newer one is asked for", async () => {
    const service = slowService();
    const seen: number[] = [];
    const older = service.firstOptions(long, ({ done }) => void seen.push(done));
    const newer = service.around(short, { "b1-s1-v1-n1": 2 } as unknown as Pins);
    expect(await older).toEqual({ stopped: true });
    expect(await newer).toMatchObject({ stopped: false, found: { "b1-s1-v1-n1": 2 } });
    expect(seen.at(-1)).toBeLessThan(10);
  });

  it("stops when told to", async () => {
    const service = slowService();
    const answer = service.firstOptions(long, () => undefined);
    service.stop();
    expect(await answer).toEqual({ stopped: true });
  });
});
