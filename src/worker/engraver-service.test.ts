import type { Toolkit } from "@/formats/musicxml/engraving/engrave";
import { drawHere } from "./draw";
import { engraverService } from "./engraver-service";

function toolkit(pages = 1) {
  const loaded: string[] = [];
  let drawn = 0;
  const made: Toolkit = {
    setOptions: () => undefined,
    resetXmlIdSeed: () => undefined,
    loadData(music) {
      loaded.push(music);
      return music !== "broken";
    },
    getPageCount: () => pages,
    renderToSVG: (page) => `${loaded.at(-1)} ${page} ${drawn++}`,
  };
  const service = engraverService(drawHere(() => Promise.resolve(made), breathe));
  return { service, loaded, drawn: () => drawn };
}

const breathe = (): Promise<void> => new Promise((resolve) => setImmediate(resolve));
const asked = (music: string) => ({ music, width: 800, scale: 40, rows: 1 });

describe("the engraver", () => {
  it("draws of many questions for one place only the newest, and each place its own", async () => {
    const { service, loaded } = toolkit();
    const answers = await Promise.all([
      ...["a", "b", "c"].map((music) => service.engrave(asked(music), "page")),
      service.engrave(asked("beside"), "other"),
    ]);
    expect(answers.map((lines) => lines?.[0] ?? null)).toEqual([null, null, "c 1 0", "beside 1 1"]);
    expect(loaded).toEqual(["c", "beside"]);
  });

  it("gives up between lines what nobody wants any more", async () => {
    const { service, drawn } = toolkit(100);
    const answer = service.engrave(asked("long"), "page");
    for (let i = 0; i < 4; i++) await breathe();
    service.leave("page");
    expect(await answer).toBeNull();
    expect(drawn()).toBeLessThan(50);
  });

  it("tells who asked that music cannot be engraved, and goes on", async () => {
    const { service } = toolkit();
    await expect(service.engrave(asked("broken"), "page")).rejects.toThrow("could not be engraved");
    expect(await service.engrave(asked("whole"), "page")).toEqual(["whole 1 0"]);
  });
});
