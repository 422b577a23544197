import { demoDays, DEMO_NOTES } from "./practice";
import { DEMO_PIECES } from "./scenario";

const days = demoDays(DEMO_PIECES);
const passages = DEMO_PIECES.flatMap((piece) => piece.passages);

describe("the six weeks of the invented pianist", () => {
  it("practise what was tried on the day it was tried, at a tempo that was clean", () => {
    for (const { title, tried = [] } of passages)
      for (const daysAgo of new Set(tried.flatMap((story) => story.daysAgo))) {
        const block = days.find((day) => day.daysAgo === daysAgo)?.blocks.find(({ passage }) => passage === title);
        expect(block).toMatchObject({ doing: "secure" });
        expect(tried.some(({ breaks }) => breaks === null || block!.tempo! <= breaks)).toBe(true);
      }
  });

  it("begin warm, meet every passage, rest on some days, and name only passages that there are", () => {
    const titles = new Set(passages.map(({ title }) => title));
    const met = new Set(days.flatMap(({ blocks }) => blocks.flatMap(({ passage }) => passage ?? [])));
    expect(met).toEqual(titles);
    expect(days.every(({ blocks }) => blocks[0]!.doing === "warm-up")).toBe(true);
    expect(days.length).toBeGreaterThan(30);
    expect(days.length).toBeLessThan(42);
    for (const { passage } of DEMO_NOTES) if (passage !== null) expect(titles).toContain(passage);
  });
});
