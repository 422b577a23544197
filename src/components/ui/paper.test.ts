import { MARGIN, pageRule, PAPERS, widthOf } from "./paper";

describe("a paper", () => {
  it("lies on its long side where that is asked for, with the same margin all round", () => {
    for (const id of ["a4", "letter"] as const) {
      const [stands, lies] = [widthOf({ id, lies: false }), widthOf({ id, lies: true })];
      expect([stands.paper, lies.paper]).toEqual([PAPERS[id].width, PAPERS[id].height]);
      for (const { paper, printed } of [stands, lies]) expect(paper - printed).toBe(2 * MARGIN);
    }
    expect(pageRule({ id: "a4", lies: true })).toBe("@page { size: 297mm 210mm; margin: 12mm; }");
  });
});
