import { randomBytes } from "node:crypto";
import { failureOf } from "@/db/failures";
import { refusalOf } from "@/server/asking";
import { passageData } from "@/server/passages/passages";
import { filmFile, filmsData, keepFilm } from "@/server/trials/films";
import { House } from "../support/house";
import { keptPassage } from "../support/kept-passage";
import { noteXml, scoreXml } from "../support/musicxml";

/** KB that a file of the data folder may have at most: what is written beyond has no room, as on a full disk. */
const MOST_KB = 24_000;
const FILM = { name: "from above.webm", type: "video/webm" };

describe("a data folder that is full", () => {
  const house = new House("full");
  afterAll(() => house.away());

  it("refuses in a sentence what has no room, loses nothing, and goes on once there is some", async () => {
    house.startDatabase("-c fsync=off", `ulimit -f ${MOST_KB};`);
    let { db, close } = await house.migrated();
    const passageId = await keptPassage(db, scoreXml([["C4", "D4", "E4"].map((p) => noteXml(p)).join("")]));
    const kept = new Map<string, Buffer>();
    let failed: unknown = null;
    for (let i = 0; i < 20 && failed === null; i++) {
      const bytes = randomBytes(3_000_000);
      try {
        const answer = await keepFilm(db, passageId, { ...FILM, bytes });
        if (answer.ok) kept.set(answer.value.id, bytes);
      } catch (error) {
        failed = error;
      }
    }
    expect(kept.size).toBeGreaterThan(2);
    expect(failureOf(failed)).toBe("full");
    expect(refusalOf(failed)).toMatchObject({
      ok: false,
      later: true,
      message: expect.stringMatching(/disk .* is full/),
    });
    const whole = async (): Promise<void> => {
      expect((await filmsData(db, passageId)).map(({ id }) => id).sort()).toEqual([...kept.keys()].sort());
      for (const [id, bytes] of kept) expect(bytes.equals((await filmFile(db, id))!.bytes)).toBe(true);
      expect((await passageData(db, passageId))!.options.length).toBeGreaterThan(0);
    };
    await whole();
    await close();
    house.stopDatabase();
    house.startDatabase("-c fsync=off");
    ({ db, close } = await house.migrated());
    await whole();
    expect(await keepFilm(db, passageId, { ...FILM, bytes: randomBytes(3_000_000) })).toMatchObject({ ok: true });
    await close();
  });
});
