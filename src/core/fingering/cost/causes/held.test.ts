import { findings } from "../../../../../tests/support/findings";
import { studyOfKeys, studyOn } from "../../../../../tests/support/studies";
import { note, passage } from "../../../../../tests/support/passages";
import type { Note } from "../../../passage/note";
import type { Manner, Tune } from "../../../passage/passage";
import { bestFingerings, notesAsked, type Study } from "../../study/study";
import { MOTION } from "../../../physics";
import { WEIGHTS } from "../weights";

describe("causes of what is held and struck", () => {
  it("keys held together: say which pair is nearest its widest, or how far it is short", () => {
    const [octave] = findings(studyOfKeys([[60, 72]]), "15", "holding");
    // Facing edges of an octave lie 150 mm apart; flat and leaning this hand opens to 1.03 of 187.
    expect(octave!.found.words).toBe("held together: 1 and 5 could reach two keys more");
    expect(findings(studyOfKeys([[60, 76]]), "15", "holding")[0]!.found.words).toBe(
      "1 and 5 are 4 mm short of holding this",
    );
    expect(findings(studyOfKeys([[60, 64, 67]]), "135", "holding")).toEqual([]);
  });

  it("keys held together: ask less of a wider hand and on a narrower keyboard", () => {
    const strain = (study: Study) => findings(study, "15", "holding")[0]?.found.strain ?? 0;
    const octave = studyOfKeys([[60, 72]]);
    expect(strain(studyOfKeys([[60, 72]], "right", {}, 220))).toBeLessThan(strain(octave));
    expect(strain({ ...octave, instrument: { octaveWidth: 152 } })).toBeLessThan(strain(octave));
  });

  it("keys held together: less where the hand, holding a note on, was as far open before", () => {
    const struckAgain = findings(
      studyOn(passage([note("low", 60, "0", "1"), note("a", 72, "1/4", "1/4"), note("b", 72, "1/2", "1/4")])),
      "155",
      "holding",
    );
    const [opened, again] = struckAgain.map(({ found }) => found.strain);
    expect(opened).toBeGreaterThan(0);
    expect(again).toBeCloseTo(MOTION.staysOpen * opened!, 9);
  });

  it("held note: breaks its line, and counts every onset through which it is lost; less with the pedal, which keeps the line", () => {
    const held = passage([
      note("tune", 72, "0", "1"),
      note("a", 64, "1/4", "1/4"),
      note("b", 67, "1/2", "1/4"),
      note("c", 65, "3/4", "1/4"),
    ]);
    const lost = (digits: string, pedal = false) =>
      findings(studyOn(held, { pedal }), digits, "held-note").map((f) => f.found.strain);
    expect(lost("5123")).toEqual([]);
    const [early] = lost("5512");
    const [late] = lost("5125");
    expect(early! - WEIGHTS.lineBroken).toBeCloseTo(3 * (late! - WEIGHTS.lineBroken), 6);
    const [atFirst, atLast] = [lost("5512", true)[0]!, lost("5125", true)[0]!];
    expect(atFirst).toBeCloseTo(3 * atLast, 6);
    expect(atLast).toBeLessThan(late! - WEIGHTS.lineBroken);
  });

  it("struck again: by the rate of the finger, of whole chords by that of the wrist, whatever the fingers", () => {
    const strain = (keys: (number | number[])[], digits: string, tempo: number) =>
      findings(studyOfKeys(keys, "right", { tempo }), digits, "repetition").reduce((sum, f) => sum + f.found.strain, 0);
    expect(strain([60, 60], "22", 40)).toBe(0);
    expect(strain([60, 60], "22", 160)).toBeGreaterThan(0);
    const octaves = [
      [60, 72],
      [60, 72],
    ];
    expect(strain(octaves, "1515", 160)).toBeGreaterThan(0);
    expect(strain(octaves, "1514", 160)).toBeCloseTo(strain(octaves, "1515", 160), 9);
  });

  it("same finger again: a tune note held until its finger must strike another key", () => {
    const tune = passage([
      note("c", 72, "0", "1"),
      note("a", 64, "1/2", "1/2"),
      note("b", 71, "1", "1"),
      note("d", 62, "3/2", "1/2"),
    ]);
    expect(findings(studyOn(tune), "5152", "same-finger").map((f) => f.at)).toEqual([2]);
    expect(findings(studyOn(tune), "5142", "same-finger")).toEqual([]);
  });

  it("crossing and passing: a finger that held a note until now crosses one that strikes, as one that struck it does", () => {
    const after = (next: number) =>
      studyOn(
        passage([
          note("low", 55, "0", "2"),
          note("held", 67, "0", "1"),
          note("inner", 60, "1/2", "1/2"),
          note("next", next, "1", "1"),
        ]),
      );
    const found = (next: number, digits: string, cause: string) =>
      findings(after(next), digits, cause).filter(({ at }) => at === 3);
    expect(found(69, "1524", "crossing")[0]!.found.words).toBe("4 and 5 cross");
    expect(found(69, "1425", "crossing")).toEqual([]);
    const alone = (digits: string) =>
      findings(
        studyOn(passage([note("held", 67, "0", "1"), note("inner", 72, "1/2", "1/2"), note("next", 65, "1", "1")])),
        digits,
        "thumb-pass",
      ).filter(({ at }) => at === 2);
    expect(alone("142").map(({ found }) => found.words)).toContain("index over the thumb");
    expect(alone("251")).toEqual([]);
  });

  it("same finger again: less for a held note where three fingers or more are down before or after, least where both", () => {
    const notes = {
      low: note("low", 60, "0", "1/2"),
      top: note("top", 72, "0", "1/2"),
      inner: note("inner", 67, "1/4", "1/4"),
      low2: note("low2", 62, "1/2", "1/4"),
      top2: note("top2", 74, "1/2", "1/4"),
      inner2: note("inner2", 69, "1/2", "1/4"),
    };
    const hops = (named: readonly (keyof typeof notes)[], digits: string) =>
      findings(studyOn(passage(named.map((name) => notes[name]))), digits, "same-finger").map(
        ({ found }) => found.strain,
      );
    const [neither, either, both] = MOTION.heldWhole.map((spared) => WEIGHTS.lineBroken * (1 - spared));
    expect(hops(["top", "inner", "top2", "inner2"], "5235")).toEqual([neither]);
    expect(hops(["low", "top", "inner", "top2"], "1525")).toEqual([either]);
    expect(hops(["low", "top", "inner", "low2", "top2", "inner2"], "152135")).toEqual([both! * MOTION.glide, both]);
    expect(both).toBeGreaterThan(0);
  });

  it("same finger again: a held note breaks the line no more than once where the hand lets go", () => {
    const notes = [
      note("bass", 60, "0", "1/2"),
      note("high", 69, "1/4", "1/4"),
      note("bass2", 58, "1/2", "1/4"),
      note("high2", 67, "1/2", "1/4"),
    ];
    const broken = ["same-finger", "line-broken"].flatMap((cause) =>
      findings(studyOn(passage(notes)), "1415", cause).map(({ found }) => found.strain),
    );
    expect(broken.reduce((sum, strain) => sum + strain, 0)).toBeCloseTo(WEIGHTS.lineBroken, 6);
  });

  it("same finger again: all of it beside a held note, for no arm carries the hand", () => {
    const beside = (held: string) =>
      findings(
        studyOn(passage([note("bass", 60, "0", held), note("a", 64, "0", "1/4"), note("b", 65, "1/4", "1/4")])),
        "122",
        "same-finger",
      ).map(({ found }) => found.strain);
    expect(beside("1/2")).toEqual([WEIGHTS.lineBroken]);
    for (const strain of beside("1/4")) expect(strain).toBeLessThan(WEIGHTS.lineBroken);
  });

  it("same finger again: less where the thumb glides on to the next white key beside a held note", () => {
    const under = (...keys: [from: number, to: number]) =>
      findings(
        studyOn(passage([note("top", 76, "0", "1"), ...keys.map((key, i) => note(`low${i}`, key, `${i}/2`, "1/2"))])),
        "151",
        "same-finger",
      ).map(({ found }) => found.strain);
    expect(under(67, 65)).toEqual([WEIGHTS.lineBroken * MOTION.glide]);
    expect(under(66, 65)).toEqual(under(67, 65));
    expect(under(65, 66)).toEqual([WEIGHTS.lineBroken]);
    expect(under(69, 65)).toEqual([WEIGHTS.lineBroken]);
    expect(findings(studyOfKeys([67, 65]), "11", "same-finger").map(({ found }) => found.strain)).not.toEqual(
      under(67, 65),
    );
  });

  it.each(["right", "left"] as const)(
    "triad off its fingers: nothing with 1 3 5, wherever its keys are black: %s hand",
    (side) => {
      const strain = (keys: number[], digits: string) =>
        findings(studyOfKeys([keys], side), digits, "off-triad").reduce((sum, f) => sum + f.found.strain, 0);
      const [whole, second, fourth] = side === "right" ? ["135", "125", "145"] : ["531", "541", "521"];
      for (let by = 0; by < 12; by++) {
        const triad = [60, 64, 67].map((key) => key + by);
        expect(strain(triad, whole)).toBeLessThan(strain(triad, second));
        expect(strain(triad, whole)).toBeLessThan(strain(triad, fourth));
        expect(strain(triad, whole)).toBeCloseTo(strain([60, 63, 67], whole), 9);
      }
      expect(strain([60, 64, 69], "125")).toBe(0);
      expect(strain([60, 65, 67], "125")).toBe(0);
    },
  );

  it("note out of reach: costs more at the outside of a chord", () => {
    const chord = studyOfKeys([[60, 64, 67]]);
    const strain = (digits: string) => findings(chord, digits, "left-out")[0]!.found.strain;
    expect(strain("035")).toBeGreaterThan(strain("105"));
  });

  it("opening held on: mm beyond relaxed times the ms until the next onset, less where it is let go", () => {
    const held = (touch: Manner["touch"]) =>
      findings(
        studyOfKeys(
          [
            [60, 72],
            [60, 72],
          ],
          "right",
          { tempo: 60, touch },
        ),
        "1515",
        "held-open",
      )[0]!.found;
    const beyond = 164.5 - (10 * (164.5 / 12) * 187) / ((15 * 164.5) / 12);
    expect(held("legato")).toMatchObject({ amount: 250, strain: expect.closeTo(beyond * 0.25 * WEIGHTS.heldOpen, 6) });
    expect(held("detached")).toMatchObject({
      amount: 125,
      strain: expect.closeTo(beyond * 0.125 * WEIGHTS.heldOpen, 6),
    });
    expect(
      findings(
        studyOfKeys([
          [60, 64],
          [60, 64],
        ]),
        "1313",
        "held-open",
      ),
    ).toEqual([]);
  });

  it("load: weak fingers weigh more where it is loud or the tune lies, the thumb where it is soft", () => {
    const at = (more: Partial<Note>, tune?: Tune) => ({
      ...studyOn({ ...passage([note("a", 64, "0", "1", more)]), ...(tune ? { tune } : {}) }),
    });
    const strain = (study: Study, digit: string, cause: string) => findings(study, digit, cause)[0]?.found.strain ?? 0;
    const weak = (more: Partial<Note>, tune?: Tune) => strain(at(more, tune), "5", "weak-finger");
    expect(weak({ loudness: 0.2 })).toBeLessThan(weak({}));
    expect(weak({ loudness: 0.9 })).toBeGreaterThan(weak({}));
    expect(weak({ accent: true })).toBeGreaterThan(weak({}));
    expect(weak({}, { top: true })).toBeGreaterThan(weak({}));
    expect(strain(at({ loudness: 0.2 }), "1", "heavy-finger")).toBeGreaterThan(0);
    expect(strain(at({}), "1", "heavy-finger")).toBe(0);
  });

  it("finger changed on a held key: where the finger is wanted elsewhere and enough of the note is left", () => {
    const held = passage([note("low", 60, "0", "2"), note("a", 64, "1/2", "1/2"), note("b", 67, "1", "1")]);
    expect(findings(studyOn(held), "215", "change-on-key")).toEqual([]);
    const [change] = findings(studyOn(held), "225", "change-on-key");
    expect(change!.found.words).toBe("from 2 to 1 on the held C");
    expect(findings(studyOn(held), "225", "held-note")).toEqual([]);
    const short = passage([note("low", 60, "0", "9/16"), note("a", 64, "1/2", "1/2")]);
    expect(findings(studyOn(short), "22", "change-on-key")).toEqual([]);
    expect(findings(studyOn(short), "22", "held-note")).toHaveLength(1);
  });

  it("thumb idle in a chord: of three notes and more, not where it holds a key or rests", () => {
    const idle = (keys: number[][], digits: string, change = {}) => {
      const study = studyOfKeys(keys);
      const hands = { ...study.hands, right: { ...study.hands.right, ...change } };
      return findings({ ...study, hands }, digits, "idle-thumb").length;
    };
    expect(idle([[60, 63, 66]], "235")).toBe(1);
    expect(idle([[60, 63, 66]], "124")).toBe(0);
    expect(idle([[60, 63]], "23")).toBe(0);
    expect(idle([[60, 63, 66]], "235", { resting: [1] })).toBe(0);
    const held = passage([note("low", 60, "0", "2"), ...[67, 71, 74].map((key) => note(`c${key}`, key, "1", "1"))]);
    expect(findings(studyOn(held), "1235", "idle-thumb")).toEqual([]);
  });

  it("thumb on two keys: lets one hand strike six", () => {
    const six = studyOfKeys([[60, 62, 64, 65, 67, 69]]);
    expect(findings(six, "112345", "doubled-thumb")).toHaveLength(1);
    expect(
      notesAsked(six)
        .map((id) => bestFingerings(six, {}, 1)[0]![id])
        .join(""),
    ).toBe("112345");
    const black = studyOfKeys([[61, 63, 65, 67, 69, 70]]);
    expect(Object.values(bestFingerings(black, {}, 1)[0]!)).toContain(null);
  });
});
