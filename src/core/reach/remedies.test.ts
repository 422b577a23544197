import { note, passage } from "../../../tests/support/passages";
import { studyOn } from "../../../tests/support/studies";
import { bestFingerings, judge, notesAsked, type Study } from "../fingering/study/study";
import type { Finger } from "../hand/finger";
import { handOfRulerSpan } from "../hand/hand";
import { playedNotes, type Passage } from "../passage/passage";
import type { Note, NoteId } from "../passage/note";
import { USUAL_ALLOWANCES, type Allowances } from "./allowances";
import { fold } from "./remedies/fold";
import { omit } from "./remedies/omit";
import { predicamentAt, predicamentsOf } from "./predicament";
import { remediesFor, withRemedies, type RemedyTried } from "./remedies-for";

const ALL: Allowances = { rolls: true, omissions: true, pedal: true, tuneAndBass: true };
const id = (name: string) => name as NoteId;

/** A chord for the right hand, another for the left where given, then a note each. */
function chordStudy(
  right: readonly number[],
  left: readonly number[] = [],
  span = 191,
  hands: Passage["hands"] = "both",
): Study {
  const at = (keys: readonly number[], staff: number, onset: string): Note[] =>
    keys.map((key, i) => note(`s${staff}o${onset}n${i}`, key, onset, "1", { staff, voice: String(staff) }));
  const notes = [...at(right, 1, "0"), ...at(left, 2, "0"), ...at([72], 1, "1")];
  return studyOn(passage(notes, hands, 2), { tempo: 66 }, span);
}

const kinds = (tried: readonly RemedyTried[]): Set<string> => new Set(tried.map((r) => r.kind));
const FIRST = id("s1o0n0");

describe("a predicament", () => {
  it("tells what is down, held notes among it, and how far the hand is short", () => {
    const notes = [note("low", 48, "0", "2"), note("high", 76, "1", "1"), note("mid", 64, "1", "1")];
    const found = predicamentAt(studyOn(passage(notes)), id("high"))!;
    expect(found.down.map((d) => [d.key, d.struck])).toEqual([
      [48, false],
      [64, true],
      [76, true],
    ]);
    expect(found.answer.kind === "out-of-reach" && found.answer.nearest!.short!.mm > 100).toBe(true);
    expect(predicamentsOf(studyOn(passage(notes)))).toHaveLength(1);
  });

  it("knows what the other hand has down, also where only one hand is asked to play", () => {
    const notes = [
      note("r", 72, "0", "1"),
      note("r2", 76, "0", "1"),
      note("held", 40, "0", "2", { staff: 2 }),
      note("r3", 74, "1", "1"),
      note("r4", 77, "2", "1"),
    ];
    const study = studyOn(passage(notes, "right", 2));
    const other = (name: string) => predicamentAt(study, id(name))!.other.map((d) => d.key);
    expect([other("r"), other("r3"), other("r4")]).toEqual([[40], [40], []]);
  });

  it("is none for a note that no hand is asked to play", () => {
    expect(predicamentAt(chordStudy([60, 64], [40], 191, "left"), FIRST)).toBeNull();
  });
});

describe("remedies", () => {
  it("are found in every kind for a chord beyond reach between two hands, least lost first", () => {
    const tried = remediesFor(chordStudy([57, 64, 72, 76], [45]), FIRST, ALL);
    expect(kinds(tried)).toEqual(new Set(["other-hand", "roll", "omit", "fold"]));
    expect(tried.map((r) => r.loss)).toEqual(tried.map((r) => r.loss).sort((a, b) => a - b));
    expect(tried[0]!.kind).toBe("other-hand");
    for (const { words, strain } of tried) {
      expect(words).toMatch(/^[A-Z].*\.$/);
      expect(Number.isFinite(strain)).toBe(true);
    }
  });

  it("leave no note without a finger once one is chosen, and cost less than going without", () => {
    const study = chordStudy([57, 64, 69, 76], [45]);
    const asWritten = judge(study, bestFingerings(study, {}, 1)[0]!).strain;
    for (const remedy of remediesFor(study, FIRST, ALL)) {
      const changed = withRemedies(study, remedy.notes);
      const [best] = bestFingerings(changed, {}, 1);
      expect(notesAsked(changed).every((n) => best![n] !== null)).toBe(true);
      expect(judge(changed, best!).strain).toBeLessThan(asWritten);
    }
  });

  it("that only place the hand otherwise apply where they make it hold: edges, then flat, then leaning", () => {
    const placing = (top: number, span: number) =>
      [...kinds(remediesFor(chordStudy([60, top], [], span), FIRST, ALL))].filter((k) =>
        ["edges", "flat", "lean"].includes(k),
      );
    // Natural fingers open to 0.97 of the key span, flat ones to all of it, leaning ones to 1.03.
    expect(placing(71, 180)).toEqual([]);
    expect(placing(72, 180)).toEqual(["edges"]);
    expect(placing(74, 193)).toEqual(["flat"]);
    expect(placing(74, 191)).toEqual(["lean"]);
    expect(placing(76, 191)).toEqual([]);
  });

  it("move a note to the other hand only if that hand is free and can hold it", () => {
    const other = (left: number[], resting: Finger[] = []) => {
      const study = chordStudy([57, 64, 69, 76], left);
      const hands = { ...study.hands, left: handOfRulerSpan("left", 191, resting) };
      return remediesFor({ ...study, hands }, FIRST, ALL).some((r) => r.kind === "other-hand");
    };
    expect(other([45])).toBe(true);
    expect(other([])).toBe(true);
    expect(other([33, 40])).toBe(false);
    expect(other([45], [1, 2, 3, 4, 5])).toBe(false);
  });

  it("say that the other hand is free only where it has nothing of its own to hold", () => {
    const words = (left: number[]) =>
      remediesFor(chordStudy([57, 64, 69, 76], left, 191, "right"), FIRST, ALL).find((r) => r.kind === "other-hand")
        ?.words;
    expect(words([])).toMatch(/which is free here/);
    expect(words([45])).toMatch(/which holds it with what it has down/);
    expect(words([33, 40])).toBeUndefined();
  });

  it("take the lowest key of both hands for the bass, not that of the hand in question", () => {
    const omitted = remediesFor(chordStudy([57, 64, 69, 76], [45], 191, "right"), FIRST, USUAL_ALLOWANCES)
      .filter((r) => r.kind === "omit")
      .flatMap((r) => Object.keys(r.notes));
    expect(omitted).toContain("s1o0n0");
    expect(omitted).not.toContain("s1o0n3");
  });

  it("never touch tune or bass without the player's say", () => {
    const touched = (allows: Allowances) =>
      remediesFor(chordStudy([57, 64, 69, 76]), FIRST, allows)
        .filter((r) => r.kind === "omit" || r.kind === "fold")
        .flatMap((r) => Object.keys(r.notes));
    expect(touched(USUAL_ALLOWANCES)).not.toContain("s1o0n0");
    expect(touched(USUAL_ALLOWANCES)).not.toContain("s1o0n3");
    expect(touched(ALL)).toContain("s1o0n0");
  });

  it("are filtered by what the player allows", () => {
    const without = (allows: Partial<Allowances>) =>
      kinds(remediesFor(chordStudy([57, 64, 69, 76], [45]), FIRST, { ...ALL, ...allows }));
    expect(without({ rolls: false }).has("roll")).toBe(false);
    expect(without({ omissions: false })).toEqual(new Set(["other-hand", "roll"]));
  });

  it("rolled: say order, ms and place, and warn where a pedal change would blur", () => {
    const notes = [
      ...[53, 57, 60].map((key, i) => note(`a${i}`, key, "0", "1")),
      ...[55, 62, 71, 79].map((key, i) => note(`b${i}`, key, "1", "1")),
    ];
    const rolls = remediesFor(studyOn(passage(notes), { tempo: 66 }, 191), id("b0"), ALL).filter(
      (r) => r.kind === "roll",
    );
    expect(rolls.map((r) => r.words)).toEqual([
      expect.stringMatching(
        /^Roll it upward from G 3 to G 5, \d+ ms from first to last, beginning on the beat\. The pedal must catch it; no pedal change blurs it\.$/,
      ),
      expect.stringMatching(/^Roll it downward from G 5 to G 3/),
      expect.stringMatching(
        /ending on the beat\. The pedal must catch it; the harmony changes here, and a pedal change would blur it\.$/,
      ),
    ]);
    const first = Object.values(rolls[0]!.notes).map((r) => (r.kind === "roll" ? r.place : null));
    expect(first).toEqual([0, 1, 2, 3]);
    const noPedal = remediesFor(studyOn(passage(notes), {}, 191), id("b0"), { ...ALL, pedal: false });
    expect(noPedal.find((r) => r.kind === "roll")!.words).toMatch(/Without pedal its first notes end early/);
  });

  it("let a held note go where the pedal may sound it on", () => {
    const notes = [note("low", 48, "0", "2"), note("high", 76, "1", "1")];
    const study = studyOn(passage(notes));
    const [shorter] = remediesFor(study, id("high"), ALL);
    expect(shorter).toMatchObject({ kind: "shorter", notes: { low: { kind: "shorter", duration: "1" } } });
    expect(kinds(remediesFor(study, id("high"), { ...ALL, pedal: false })).has("shorter")).toBe(false);
  });

  it("chosen earlier at the same moment give way to the next", () => {
    const study = withRemedies(chordStudy([57, 64, 69, 76], [45]), { [FIRST]: { kind: "omit" } });
    expect(kinds(remediesFor(study, FIRST, ALL)).has("roll")).toBe(true);
  });
});

describe("a passage as played", () => {
  it("carries every remedy out", () => {
    const study = withRemedies(chordStudy([57, 64, 69, 76]), {
      [id("s1o0n0")]: { kind: "other-hand", hand: "left" },
      [id("s1o0n1")]: { kind: "omit" },
      [id("s1o0n2")]: { kind: "fold", octaves: -1 },
      [id("s1o0n3")]: { kind: "roll", place: 1, stepMs: 45, caught: true },
    });
    const played = playedNotes(study.passage);
    expect(played.map((n) => [n.id, n.pitch, n.hand ?? "", n.grace])).toEqual([
      ["s1o0n0", 57, "left", 0],
      ["s1o0n2", 57, "", 0],
      ["s1o0n3", 76, "", 1],
      ["s1o1n0", 72, "", 0],
    ]);
    expect(notesAsked(study)).not.toContain("s1o0n1");
  });
});

describe("a tune that the player has marked", () => {
  it("is not left out nor moved where the player has not allowed it, though another note lies higher", () => {
    const study = chordStudy([48, 64, 76]);
    const inner = id("s1o0n1");
    const marked: Study = { ...study, passage: { ...study.passage, tune: { notes: [inner] } } };
    const allows = { ...ALL, tuneAndBass: false };
    const givesUp = (of: Study): boolean =>
      [omit, fold].some((kind) => kind.propose(predicamentAt(of, FIRST)!, allows).some(({ notes }) => inner in notes));
    expect(givesUp(study)).toBe(true);
    expect(givesUp(marked)).toBe(false);
  });
});
